package org.grenu.formats;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.Samples;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotSheet;
import org.junit.jupiter.api.Test;

/** Whatever a shot holds, writing and reading it gives an equal shot, in both formats. */
class RoundTripTest {

    @Property(tries = 300)
    void csvLosesNothing(@ForAll("shots") Shot shot) throws ImportFailure {
        assertThat(ShotReader.read("shot.csv", ShotCsvWriter.write(shot).getBytes(StandardCharsets.UTF_8)).shot()).isEqualTo(shot);
    }

    @Property(tries = 300)
    void jsonLosesNothing(@ForAll("shots") Shot shot) throws ImportFailure {
        assertThat(ShotReader.read("shot.json", ShotJsonWriter.write(shot).getBytes(StandardCharsets.UTF_8)).shot()).isEqualTo(shot);
    }

    /** The published schema knows exactly the entries, channels and units that the program does. */
    @Test
    void theSchemaFileAgreesWithTheProgram() throws IOException {
        JsonNode schema = new ObjectMapper().readTree(new File("../docs/schema/grenu-shot-1.schema.json"));
        Set<String> keys = new HashSet<>(List.of("extras"));
        for (SheetField field : SheetField.values()) {
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

    @Provide
    Arbitrary<Shot> shots() {
        return Combinators.combine(sheets(), logs()).as(Shot::new);
    }

    private Arbitrary<ShotSheet> sheets() {
        Arbitrary<String> words = Arbitraries.strings().ofMaxLength(30);
        Arbitrary<String> awkward = Arbitraries.of("a: b", "# x", "line\nline", "back\\n\\slash", "\"quoted\", comma; ü °C → −", "\r\n", "{", "1e5");
        Arbitrary<String> texts = Arbitraries.oneOf(words.filter(w -> w.indexOf('\0') < 0), awkward);
        Arbitrary<Double> doses = Arbitraries.doubles().between(0.1, 200).ofScale(12);
        Arbitrary<List<Double>> readings = Arbitraries.doubles().between(0, 40).ofScale(9).list().ofMaxSize(6);
        return Combinators.combine(texts, texts, doses, readings, texts).as((coffee, note, dose, values, extra) -> ShotSheet.EMPTY
                .with(SheetField.COFFEE, coffee).with(SheetField.NOTE, note).with(SheetField.DOSE, dose)
                .with(SheetField.GRIND, -dose).with(SheetField.PULLED_AT, "2026-05-13T09:04:05.123")
                .with(SheetField.READINGS, String.join("; ", values.stream().map(String::valueOf).toList()) + "; 9.4@35/24.1/?/filtered")
                .with(SheetField.REFRACTOMETER_LINE, "10; 9.8; 0.98; 0.02; 0.01").with(SheetField.REFRACTOMETER_READS, "brix")
                .with(SheetField.REPAIRS_OFF, "scale_knock time_order").with(SheetField.SIMULATED, "no")
                .with(SheetField.ROASTED_ON, "2026-04-27").with(SheetField.PHASES, "wetting 0; soak 4.25; drip_out 31")
                .with(SheetField.MOMENT_NOTES, "20 blond, fast; 12.5 first streak: left")
                .with(SheetField.PROFILE_STEPS, "soak: pressure 2.4 until 2 s after drip or 25 s; main: pressure 9 to 6 over 3 s ±0.6, flow at most 4")
                .withExtra("beans frozen", extra).withExtra("screen.second", "yes"));
    }

    private Arbitrary<ShotLog> logs() {
        Arbitrary<Double> anything = Arbitraries.oneOf(Arbitraries.doubles().between(-20, 250), Arbitraries.of(Double.NaN, 0.0, -0.0, 1e-300, 1e8));
        return Combinators.combine(Arbitraries.integers().between(3, 40), Arbitraries.of(Channel.ofLogs()).set().ofMinSize(1).ofMaxSize(5),
                anything.list().ofSize(200), Arbitraries.doubles().between(-5, 300).list().ofSize(40)).as((n, channels, values, times) -> {
                    double[] time = new double[n];
                    for (int i = 0; i < n; i++) {
                        time[i] = i == 1 ? times.get(0) + 0.1 : times.get(i);
                    }
                    Map<Channel, Samples> columns = new EnumMap<>(Channel.class);
                    List<Channel> order = new ArrayList<>(channels);
                    for (int c = 0; c < order.size(); c++) {
                        double[] column = new double[n];
                        for (int i = 0; i < n; i++) {
                            column[i] = i == 0 ? 1.5 : values.get(40 * c + i);
                        }
                        columns.put(order.get(c), Samples.of(column));
                    }
                    return new ShotLog(Samples.of(time), columns);
                });
    }
}
