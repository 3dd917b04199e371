package org.grenu.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotMeasures;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlainTableTest {

    private static ParsedShot read(String text) throws ImportFailure {
        return ShotReader.read("log.csv", text.getBytes(StandardCharsets.UTF_8));
    }

    private static void isTheUsualShot(ShotLog log) {
        assertThat(log.time().toArray()).containsExactly(new double[] {0, 0.5, 1}, within(1e-9));
        assertThat(log.find(Channel.PRESSURE).orElseThrow().get(2)).isCloseTo(9, within(0.01));
        assertThat(log.find(Channel.CUP_MASS).orElseThrow().get(2)).isCloseTo(1.5, within(1e-9));
        assertThat(log.find(Channel.TEMPERATURE).orElseThrow().get(1)).isCloseTo(93.3, within(0.05));
    }

    /** The same three samples as different loggers write them. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            time,pressure,weight,temperature~0,0,0,93.3~0.5,4,0,93.3~1,9,1.5,93.3
            Time (ms),Pressure (psi),Scale weight (g),Temp (°F)~0,0,0,199.94~500,58,0,199.94~1000,130.5,1.5,199.94
            elapsed;pressure_kpa;cup_mass_g;temp_c~0;0;0;93,3~0,5;400;0;93,3~1;900;1,5;93,3
            Timestamp [ms]\\tgroup pressure [bar]\\tweight\\tbasket \
            temperature~1770000000000\\t0\\t0\\t93.3~1770000000500\\t4\\t0\\t93.3~1770000001000\\t9\\t1.5\\t93.3
            time,pressure,mass,temp~10:31:05.0,0,0,199.94~10:31:05.5,60,0,199.94~10:31:06.0,130.5,1.5,199.94
            t,p,grams,temperatureC~0,0,0,93.3~500,4,0,93.3~1000,9,1.5,93.3
            # exported log~# dose_g: 18.2~~time [s],pressure \
            [bar],pressure_goal,weight,temperature~0,0,9,0,93.3~~0.5,4,9,0,93.3~1,9,9,1.5,93.3
            "time [s]","pressure [bar]","cup mass [g]","temperature \
            [°C]"~"0","0","0","93,3"~"0,5","4","0","93,3"~"1","9","1,5","93,3"
            """)
    void loggersOfManyKindsAreUnderstood(String table) throws ImportFailure {
        isTheUsualShot(read(table.replace('~', '\n').replace("\\t", "\t")).shot().log());
    }

    @Test
    void oldEncodingsAreUnderstood() throws ImportFailure {
        String table = "time [s];pressure [bar];weight [g];temperature "
                + "[°C]\r\n0;0;0;93,3\r\n0,5;4;0;93,3\r\n1;9;1,5;93,3\r\n";
        isTheUsualShot(ShotReader.read("old.csv", table.getBytes(Charset.forName("windows-1252"))).shot().log());
        isTheUsualShot(
                ShotReader.read("wide.csv", ("\uFEFF" + table).getBytes(StandardCharsets.UTF_16LE)).shot().log());
        isTheUsualShot(ShotReader.read("bom.csv", ("\uFEFF" + table).getBytes(StandardCharsets.UTF_8)).shot().log());
    }

    @Test
    void whatTheFileLeavesOpenIsSaid() throws ImportFailure {
        ParsedShot parsed = read(
                "# dose_g: 18.2\n# grinder speed: 4\ntime,pressure,flow,weight "
                        + "flow,valve\n0,0,1,0,1\n500,60,1,0,1\n1000,130,1,0.5,\n");
        assertThat(parsed.assumptions()).containsExactly("Column “valve” was not read.",
                "Column “time” names no unit; its numbers were read as ms, though that makes no usual length of "
                        + "a shot. "
                        + "Is that right?",
                "Column “pressure” names no unit; its numbers were read as psi.",
                "Column “flow” names no unit; its numbers were read as mL/s.",
                "Column “weight flow” names no unit; its numbers were read as g/s.");
        assertThat(parsed.shot().record().number(RecordField.DOSE)).hasValue(18.2);
        assertThat(parsed.shot().record().extras()).containsEntry("grinder speed", "4");
        assertThat(parsed.shot().log().find(Channel.CUP_FLOW).orElseThrow().get(2)).isEqualTo(0.5);
        assertThat(parsed.shot().log().find(Channel.PUMP_FLOW)).isPresent();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            time,pressure~0,1~1,abc~2,3 | log.csv, line 3: pressure is “abc”, which is not a number (column 2). \
            Correct the cell, or empty it if the sample is missing.
            # by hand~~time,pressure~0,1~,2~2,3 | log.csv, line 5: time is “”, which is not a number (column 1). \
            Every row needs a time.
            time,pressure,mass~0,1,0~1,2 | log.csv, line 3: The row has 2 fields, the columns to read need 3. The \
            file may be cut off here: complete the row or delete it.
            pressure,mass~0,1 | log.csv, line 1: No time column among “pressure”, “mass”. Name one “time [s]” or \
            “time [ms]”.
            time [h],pressure~0,1 | log.csv, line 1: Column “time [h]” is in “h”, a unit that is not known for it. \
            Known units: s, ms, bar, kPa, psi, mL/s, g/s, g, °C, °F.
            time,valve~0,1 | log.csv, line 1: No column to read beside time among “time”, “valve”. Name them such as \
            “pressure [bar]”, “pump flow [mL/s]”, “cup mass [g]”, “temperature [°C]”.
            time,pressure,mass~0,0,1,2,0,3 | log.csv, line 2: The row has 6 fields for 3 columns: decimal commas in a \
            table separated by commas. Save it with semicolons or tabs, or with decimal points.
            # grenu shot: 2~time,p~0,1 | log.csv, line 1: This is version “2” of the shot format; this program reads \
            version 1. Open it with a newer Grenu.
            # grenu shot: 1~# dose_g: lots~time,p~0,1 | log.csv, line 2: dose_g: “lots” is not a number. Write it \
            such as 18.5. Correct the value or remove the line.
            time,pressure~0,1~1,2 | log.csv: The log has 2 samples. A shot needs at least three.
            time,pressure~0,~1,~2, | log.csv: Every channel is empty. Check that the logger recorded the shot.
            t [s],p~0,1~9,2~0,1~9,2~0,1~9,2 | log.csv: The time starts again 2 times: the file probably holds several \
            shots. Map its columns, and say how the shots are told apart.
            time [s],pressure~0,1~9000,2~18000,3 | log.csv: The log spans 18000 s, more than three hours. Check the \
            unit of the time column, or cut the file to one shot.
            """)
    void errorsNameFileLineReasonAndRemedy(String table, String message) {
        assertThatThrownBy(() -> read(table.replace('~', '\n'))).isInstanceOf(ImportFailure.class).hasMessage(message);
    }

    @Test
    void brokenJsonNamesItsLine() {
        assertThatThrownBy(() -> read("{\n\"format\": \"grenu-shot\",\n\"version\": 1,\n oops }"))
                .hasMessageContaining("log.csv, line 4: The JSON is broken");
        assertThatThrownBy(() -> read("{\"format\": \"other\"}")).hasMessageContaining("must be “grenu-shot”");
        assertThatThrownBy(() -> ShotReader.read("photo.jpg", new byte[] {1, 2, 10, 0, 4}))
                .hasMessageContaining("photo.jpg, line 2: The file is not text.");
    }

    @Test
    void theStudyTableHoldsRecordAndMeasures() {
        List<StudyTableWriter.Row> rows = DemoStudy.shots()
                .stream()
                .limit(6)
                .map(demo -> new StudyTableWriter.Row(7, demo.shot().record(), ShotMeasures.of(demo.shot())))
                .toList();
        List<CsvRecord> table = CsvReader.builder().ofCsvRecord(StudyTableWriter.write(rows)).stream().toList();
        List<String> heading = table.get(0).getFields();
        assertThat(table).hasSize(7);
        assertThat(heading).startsWith("shot", "study")
                .contains("dose_g", "ey_as_dosed_pct", "ey_dry_u_pct", "time_pump_on_to_pump_off_s");
        assertThat(table.get(6).getField(heading.indexOf("ey_as_dosed_pct"))).as("choked").isEmpty();
        assertThat(Double.parseDouble(table.get(1).getField(heading.indexOf("ey_as_dosed_pct")))).isBetween(20.5, 22.5);
    }
}
