package org.grenu.cli;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.grenu.core.quantity.Measured;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.study.SheetFactor;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.ShotFilter;

/** What the filter finds in a shot that is to be compared. */
record ComparedSubject(MeasuredShot shot) implements ShotFilter.Subject {

    @Override
    public String words() {
        String entries = Stream.of(SheetField.values()).flatMap(field -> shot.sheet().text(field).stream()).collect(Collectors.joining(" "));
        return (shot.name() + " " + entries).toLowerCase(Locale.ROOT);
    }

    @Override
    public OptionalDouble number(String name) {
        Response response = switch (name) {
            case "ey", "yield" -> StandardResponse.EY_AS_DOSED;
            case "time" -> StandardResponse.TIME_PUMP_ON_TO_PUMP_OFF;
            case "mass" -> StandardResponse.BEVERAGE;
            default -> StandardResponse.find(name).orElse(null);
        };
        if (response != null) {
            Optional<Measured> value = response.of(shot);
            return value.isPresent() ? OptionalDouble.of(value.get().value()) : OptionalDouble.empty();
        }
        return SheetFactor.find(name).map(factor -> factor.number(shot.sheet()))
                .orElseGet(() -> SheetField.find(name).map(shot.sheet()::number).orElse(OptionalDouble.empty()));
    }

    @Override
    public Optional<String> text(String name) {
        return SheetFactor.find(name).flatMap(factor -> factor.level(shot.sheet()))
                .or(() -> SheetField.find(name).flatMap(shot.sheet()::entry)).or(() -> Optional.ofNullable(shot.sheet().extras().get(name)));
    }
}
