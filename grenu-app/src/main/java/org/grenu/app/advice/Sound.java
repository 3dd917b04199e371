package org.grenu.app.advice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.Plausibility;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.CommonConvention;
import org.grenu.core.response.MeasuredShot;

/**
 * Shots whose entries were all meant, as far as anybody can tell, apart from those with one that hardly was.
 *
 * @param shots  that can be built on
 * @param doubts the first question that each of the others raises
 */
record Sound(List<MeasuredShot> shots, Map<MeasuredShot, Plausibility.Doubt> doubts) {

    Sound {
        shots = List.copyOf(shots);
    }

    /** {@return those shots, told apart} */
    static Sound of(List<MeasuredShot> shots, CommonConvention time) {
        List<MeasuredShot> sound = new ArrayList<>();
        Map<MeasuredShot, Plausibility.Doubt> doubts = new LinkedHashMap<>();
        List<MeasuredShot> byThemselves = shots.stream().filter(shot -> ownDoubt(shot).isEmpty()).toList();
        for (MeasuredShot shot : shots) {
            Optional<Plausibility.Doubt> doubt = ownDoubt(shot).or(() -> timeOf(shot, byThemselves, time));
            doubt.ifPresentOrElse(asked -> doubts.put(shot, asked), () -> sound.add(shot));
        }
        return new Sound(sound, doubts);
    }

    private static Optional<Plausibility.Doubt> ownDoubt(MeasuredShot shot) {
        return Plausibility.of(shot.record(), shot.measures().masses()).stream().findFirst();
    }

    /** A time far from those of the coffee's other shots. */
    private static Optional<Plausibility.Doubt> timeOf(MeasuredShot shot, List<MeasuredShot> shots,
            CommonConvention time) {
        Optional<String> coffee = shot.record().text(RecordField.COFFEE);
        double[] others = shots.stream()
                .filter(other -> other != shot && other.record().text(RecordField.COFFEE).equals(coffee))
                .flatMap(other -> time.response().of(other).stream())
                .mapToDouble(Measured::value)
                .sorted()
                .toArray();
        return others.length == 0 ? Optional.empty()
                : time.response()
                        .of(shot)
                        .flatMap(value -> Plausibility.besideOthers(value.value(),
                                Arrays.stream(others).skip((others.length - 1) / 2).findFirst().getAsDouble()));
    }
}
