package org.grenu.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import org.grenu.core.curve.Channel;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShotJsonErrorsTest {

    private static final String GOOD = "{'format': 'grenu-shot', 'version': 1, 'record': {'dose_g': 18, 'screen': "
            + "'fine'}, "
            + "'units': {'time': 'ms', 'pressure': 'psi', 'cup_mass': 'g'}, "
            + "'channels': {'time': [0, 500, 1000], 'pressure': [0, null, 130.5], 'cup_mass': [0, 0.5, 1]}}";

    private static Shot read(String json) throws ImportFailure {
        return ShotReader.read("shot.json", json.replace('\'', '"').getBytes(StandardCharsets.UTF_8)).shot();
    }

    @Test
    void unitsAreConvertedAndUnknownKeysKept() throws ImportFailure {
        Shot shot = read(GOOD);
        assertThat(shot.log().time().toArray()).containsExactly(0, 0.5, 1);
        assertThat(shot.log().find(Channel.PRESSURE).orElseThrow().get(2)).isBetween(8.99, 9.0);
        assertThat(shot.log().find(Channel.PRESSURE).orElseThrow().get(1)).isNaN();
        assertThat(shot.record().number(RecordField.DOSE)).hasValue(18);
        assertThat(shot.record().extras()).containsEntry("screen", "fine");
    }

    /** Each change of the good file above has its own words. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            'version': 1 | 'version': 7 | This is version 7 of the shot format; this program reads version 1.
            'dose_g': 18 | 'dose_g': 'lots' | record.dose_g: “lots” is not a number. Write it such as 18.5.
            'dose_g': 18 | 'dose_g': {'g': 18} | record.dose_g: An object cannot be an entry.
            'screen' | 'scr:een' | record.scr:een: “scr:een” cannot name an entry: letters, digits, space, _ . and - \
            can.
            'time': [0, 500, 1000] | 'times': [0, 500, 1000] | “channels.time” is missing or not an array.
            'cup_mass': [0, 0.5, 1] | 'steam': [0, 0.5, 1] | Channel “steam” is not known.
            'cup_mass': [0, 0.5, 1] | 'cup_mass': [0, 0.5] | The channels do not fit together: cup_mass must have 3 \
            samples, has 2.
            'cup_mass': [0, 0.5, 1] | 'cup_mass': [0, 'x', 1] | “channels.cup_mass” holds "x" at position 2, which is \
            not a number.
            'cup_mass': [0, 0.5, 1] | 'cup_mass': 5 | “channels.cup_mass” must be an array of at most 500000 numbers.
            [0, 500, 1000] | [0, null, 1000] | “channels.time” holds null at position 2, which is not a number.
            'pressure': 'psi' | 'pressure': 'torr' | “units.pressure” is “torr”, which is not a known unit for it.
            'pressure': 'psi', | '' : '', | “units.pressure” is “”, which is not a known unit for it.
            """)
    void errorsSayWhatAndWhere(String was, String is, String reason) {
        assertThat(GOOD).contains(was);
        assertThatThrownBy(() -> read(GOOD.replace(was, is))).isInstanceOf(ImportFailure.class)
                .hasMessageStartingWith("shot.json: " + reason);
    }

    @Test
    void doubleKeysAndTrailingTextAreRefused() {
        assertThatThrownBy(() -> read(GOOD.replace("'version': 1", "'version': 1, 'version': 1")))
                .hasMessageContaining("The JSON is broken");
        assertThatThrownBy(() -> read(GOOD + " {}")).hasMessageContaining("The JSON is broken");
        assertThatThrownBy(() -> read("[" + GOOD + "]")).hasMessageContaining("does not name itself a shot");
    }
}
