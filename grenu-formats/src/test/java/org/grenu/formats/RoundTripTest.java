package org.grenu.formats;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

/** Whatever a shot holds, writing and reading it gives an equal shot, in both formats. */
class RoundTripTest {

    @ParameterizedTest
    @Seeds(300)
    void csvLosesNothing(Draws any) throws ImportFailure {
        Shot shot = new Shot(record(any), log(any));
        assertThat(ShotReader.read("shot.csv", ShotCsvWriter.write(shot).getBytes(StandardCharsets.UTF_8)).shot())
                .isEqualTo(shot);
    }

    @ParameterizedTest
    @Seeds(300)
    void jsonLosesNothing(Draws any) throws ImportFailure {
        Shot shot = new Shot(record(any), log(any));
        assertThat(ShotReader.read("shot.json", ShotJsonWriter.write(shot).getBytes(StandardCharsets.UTF_8)).shot())
                .isEqualTo(shot);
    }

    /** The published schema knows exactly the entries, channels and units that the program does. */
    @Test
    void theSchemaFileAgreesWithTheProgram() throws IOException {
        JsonNode schema = new ObjectMapper().readTree(new File("../docs/schema/grenu-shot-1.schema.json"));
        Set<String> keys = new HashSet<>(List.of("extras"));
        for (RecordField field : RecordField.values()) {
            keys.add(field.key());
        }
        Set<String> channels = new HashSet<>(List.of("time"));
        for (Channel channel : Channel.ofLogs()) {
            channels.add(channel.key());
        }
        assertThat(names(schema.at("/properties/record/properties"))).isEqualTo(keys);
        assertThat(names(schema.at("/properties/channels/properties"))).isEqualTo(channels);
        assertThat(names(schema.at("/properties/units/properties"))).isEqualTo(channels);
    }

    private static Set<String> names(JsonNode object) {
        Set<String> names = new HashSet<>();
        object.fieldNames().forEachRemaining(names::add);
        return names;
    }

    private static ShotRecord record(Draws any) {
        double dose = any.number(0.1, 200);
        List<String> readings = any.list(0, 6, () -> String.valueOf(any.number(0, 40)));
        return ShotRecord.EMPTY
                .with(RecordField.COFFEE, words(any))
                .with(RecordField.NOTE, words(any))
                .with(RecordField.DOSE, dose)
                .with(RecordField.GRIND, -dose)
                .with(RecordField.PULLED_AT, "2026-05-13T09:04:05.123")
                .with(RecordField.READINGS, String.join("; ", readings) + "; 9.4@35/24.1/?/filtered")
                .with(RecordField.REFRACTOMETER_LINE, "10; 9.8; 0.98; 0.02; 0.01")
                .with(RecordField.REFRACTOMETER_READS, "brix")
                .with(RecordField.REPAIRS_OFF, "scale_knock time_order")
                .with(RecordField.SIMULATED, "no")
                .with(RecordField.ROASTED_ON, "2026-04-27")
                .with(RecordField.PHASES, "wetting 0; soak 4.25; drip_out 31")
                .with(RecordField.MOMENT_NOTES, "20 blond, fast; 12.5 first streak: left")
                .with(RecordField.PROFILE_STEPS,
                        "soak: pressure 2.4 until 2 s after drip or 25 s; main: pressure 9 to 6 over 3 s ±0.6, flow "
                                + "at most 4")
                .withExtra("beans frozen", words(any))
                .withExtra("screen.second", "yes");
    }

    /** Any words but broken pairs, which no file can hold, and the sign of nothing. */
    private static String words(Draws any) {
        return any.oneIn(3)
                ? any.of("a: b", "# x", "line\nline", "back\\n\\slash", "\"quoted\", comma; ü °C → −", "\r\n", "{",
                        "1e5")
                : any.text().replaceAll("[\\p{Cs}\u0000]", "");
    }

    private static ShotLog log(Draws any) {
        if (any.oneIn(12)) {
            return ShotLog.NONE;
        }
        int n = any.integer(3, 40);
        double[] time = any.list(n, n, () -> any.number(-5, 300)).stream().mapToDouble(Double::doubleValue).toArray();
        time[1] = time[0] + 0.1;
        Map<Channel, Samples> columns = new EnumMap<>(Channel.class);
        for (Channel channel : any.some(1, 5, Channel.ofLogs())) {
            double[] column = any
                    .list(n, n, () -> any.oneIn(3) ? any.of(Double.NaN, 0.0, -0.0, 1e-300, 1e8) : any.number(-20, 250))
                    .stream()
                    .mapToDouble(Double::doubleValue)
                    .toArray();
            column[0] = 1.5;
            columns.put(channel, Samples.of(column));
        }
        return new ShotLog(Samples.of(time), columns);
    }
}
