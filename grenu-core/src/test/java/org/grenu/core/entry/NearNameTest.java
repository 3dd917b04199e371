package org.grenu.core.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.AlphaChars;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LowerChars;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;

class NearNameTest {

    private static final List<String> FIELDS = List.of("temperature", "grind", "grinder", "taste", "ey");

    @Test
    void slipsOfTheFingerAreForgiven() {
        assertThat(NearName.of("temperture", FIELDS)).as("one missing").hasValue("temperature");
        assertThat(NearName.of("grnid", FIELDS)).as("two that changed places").hasValue("grind");
        assertThat(NearName.of("grindr", FIELDS)).as("of two as near the shorter").hasValue("grind");
        assertThat(NearName.of("tatse", List.of("taste"))).hasValue("taste");
        assertThat(NearName.of("pressure", FIELDS)).isEmpty();
        assertThat(NearName.of("x", List.of())).isEmpty();
    }

    /** The published distances of a standard example: kitten to sitting takes three slips, of seven letters two are allowed. */
    @Test
    void aThirdOfTheLettersMayDiffer() {
        assertThat(NearName.of("kitten", List.of("sitting"))).isEmpty();
        assertThat(NearName.of("kitten", List.of("sitten"))).hasValue("sitten");
        assertThat(NearName.of("kittens", List.of("sitting"))).isEmpty();
    }

    @Property
    void oneWrongLetterIsAlwaysForgiven(@ForAll @LowerChars @StringLength(min = 3, max = 20) String name, @ForAll @IntRange(max = 19) int at) {
        int place = at % name.length();
        String written = name.substring(0, place) + "_" + name.substring(place + 1);
        assertThat(NearName.of(written, List.of(name, "-".repeat(40)))).hasValue(name);
    }

    @Property
    void aKnownNameIsItself(@ForAll @AlphaChars @StringLength(min = 1, max = 12) String name) {
        assertThat(NearName.of(name, List.of(name + "s", name, "s" + name))).hasValue(name);
    }
}
