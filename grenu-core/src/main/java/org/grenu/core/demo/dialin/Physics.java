package org.grenu.core.demo.dialin;

import java.util.function.BiFunction;
import org.hipparchus.random.RandomGenerator;

/** The laws that coffees follow, none of which the learnt model knows. */
public enum Physics {
    /** The puck model that ships with the program. */
    PUCK("The puck model that ships with the program", (random, slope) -> new PuckCoffee(random)),
    /** Made up. */
    CURVED("Another law: ln(time) bends with the notch, heavy tails, a fifth ground at the setting before",
            CurvedCoffee::new),
    /** Made up too, of other parts. */
    SOAKED("A third law: a soak, a pump at its limit, a puck; one shot in ten channels, the grinder warms",
            SoakedCoffee::new);

    private final String title;
    private final BiFunction<RandomGenerator, Double, UnknownCoffee> coffee;

    Physics(String title, BiFunction<RandomGenerator, Double, UnknownCoffee> coffee) {
        this.title = title;
        this.coffee = coffee;
    }

    /** {@return what it is} */
    public String title() {
        return title;
    }

    /**
     * {@return a coffee of it}
     *
     * @param slope of its grinder, about how much a notch moves ln(time)
     */
    UnknownCoffee coffee(RandomGenerator random, double slope) {
        return coffee.apply(random, slope);
    }
}
