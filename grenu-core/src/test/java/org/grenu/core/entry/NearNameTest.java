package org.grenu.core.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

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

    /**
     * The published distances of a standard example: kitten to sitting takes three slips, of seven letters two are
     * allowed.
     */
    @Test
    void aThirdOfTheLettersMayDiffer() {
        assertThat(NearName.of("kitten", List.of("sitting"))).isEmpty();
        assertThat(NearName.of("kitten", List.of("sitten"))).hasValue("sitten");
        assertThat(NearName.of("kittens", List.of("sitting"))).isEmpty();
    }

    @ParameterizedTest
    @Seeds(100)
    void oneWrongLetterIsAlwaysForgiven(Draws any) {
        for (String name : any.list(10, 10, () -> any.text("abcdefghijklmnopqrstuvwxyz", 3, 20))) {
            int place = any.integer(0, name.length() - 1);
            String written = name.substring(0, place) + "_" + name.substring(place + 1);
            assertThat(NearName.of(written, List.of(name, "-".repeat(40)))).hasValue(name);
        }
    }

    @ParameterizedTest
    @Seeds(100)
    void aKnownNameIsItself(Draws any) {
        for (String name : any.list(10, 10,
                () -> any.text("ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz", 1, 12))) {
            assertThat(NearName.of(name, List.of(name + "s", name, "s" + name))).hasValue(name);
        }
    }
}
