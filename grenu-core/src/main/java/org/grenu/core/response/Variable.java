package org.grenu.core.response;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.Factor;

/** What a comparison explains a response by. */
public sealed interface Variable {

    /** {@return the name in files and commands} */
    String key();

    /** {@return the name on screen} */
    String title();

    /** {@return the unit of a number, empty when it has none} */
    String unit();

    /** {@return whether it acts as a number: a straight line, not a level each} */
    boolean numeric();

    /** {@return the shot's number, when it has one} */
    OptionalDouble number(MeasuredShot shot);

    /** {@return the shot's level in words; empty when unknown} */
    Optional<String> level(MeasuredShot shot);

    /** {@return whether the shot's level is known} */
    default boolean known(MeasuredShot shot) {
        return numeric() ? number(shot).isPresent() : level(shot).isPresent();
    }

    /** {@return the variable told in those units; itself where they change nothing} */
    default Variable in(DisplayUnits units) {
        return this;
    }

    /** {@return the factor as a number where it is one} */
    static Variable of(Factor factor) {
        return new Treatment(factor, !factor.numeric());
    }

    /** {@return the measure as a covariate} */
    static Variable of(Response response) {
        return new Covariate(response);
    }

    /**
     * Something that was set or chosen.
     *
     * @param byLevel a mean for each level, also where the levels are numbers
     */
    record Treatment(Factor factor, boolean byLevel) implements Variable {

        @Override
        public String key() {
            return factor.key();
        }

        @Override
        public String title() {
            return factor.title();
        }

        @Override
        public String unit() {
            return factor.unit();
        }

        @Override
        public boolean numeric() {
            return !byLevel;
        }

        @Override
        public OptionalDouble number(MeasuredShot shot) {
            return factor.number(shot.record());
        }

        @Override
        public Optional<String> level(MeasuredShot shot) {
            return factor.level(shot.record());
        }

        @Override
        public Variable in(DisplayUnits units) {
            return new Treatment(factor.in(units), byLevel);
        }
    }

    /** Something that came about and was measured, such as the beverage mass. */
    record Covariate(Response response) implements Variable {

        @Override
        public String key() {
            return response.key();
        }

        @Override
        public String title() {
            return response.title();
        }

        @Override
        public String unit() {
            return response.unit();
        }

        @Override
        public boolean numeric() {
            return true;
        }

        @Override
        public OptionalDouble number(MeasuredShot shot) {
            Optional<Measured> value = response.of(shot);
            return value.isPresent() ? OptionalDouble.of(value.get().value()) : OptionalDouble.empty();
        }

        @Override
        public Optional<String> level(MeasuredShot shot) {
            return number(shot).stream().mapToObj(DecimalText::exact).findFirst();
        }

        @Override
        public Variable in(DisplayUnits units) {
            return new Covariate(response.in(units));
        }
    }

    /**
     * Where a shot stands among those it is compared with, such as its place in their order.
     *
     * @param places by the shot's name
     */
    record Placed(String key, String title, boolean numeric, Map<String, String> places) implements Variable {

        public Placed {
            places = Map.copyOf(places);
        }

        @Override
        public String unit() {
            return "";
        }

        @Override
        public OptionalDouble number(MeasuredShot shot) {
            return numeric ? level(shot).map(Double::parseDouble).map(OptionalDouble::of).orElse(OptionalDouble.empty())
                    : OptionalDouble.empty();
        }

        @Override
        public Optional<String> level(MeasuredShot shot) {
            return Optional.ofNullable(places.get(shot.name()));
        }
    }
}
