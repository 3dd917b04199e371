package org.grenu.formats.mapping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.grenu.core.curve.Channel;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.core.quantity.Unit;
import org.grenu.core.record.RecordField;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ParsedShot;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MappingTest {

    private static double pressure(double t) {
        return t < 2.5 ? 0.1 : t < 25 ? Math.min(9, 3 * (t - 2.5)) : 9 * Math.exp(-2 * (t - 25));
    }

    private static double mass(double t) {
        return Math.max(0, Math.min(t, 25.8) - 7) * 2;
    }

    private static String rows(String format, double begin, Locale locale) {
        return IntStream.range(0, 300)
                .mapToObj(
                        i -> String.format(locale, format, (begin + i / 10.0) * 1000, pressure(i / 10.0) / 0.0689475729,
                                -mass(i / 10.0), 93.0))
                .collect(Collectors.joining("\n"));
    }

    private static List<ParsedShot> read(String text) throws ImportFailure {
        return MappedReader.readText("log", text, MappingGuess.of("log", text).mapping());
    }

    private static void assertShot(ParsedShot shot) {
        var log = shot.shot().log();
        int at = 200;
        assertThat(log.find(Channel.PRESSURE).orElseThrow().get(at)).isCloseTo(9, within(0.01));
        assertThat(log.find(Channel.CUP_MASS).orElseThrow().get(at)).isCloseTo(mass(20), within(0.06));
        assertThat(log.time().get(at)).isCloseTo(20, within(1e-6));
    }

    /**
     * Headings in another language, decimal commas, ms, psi, a scale that counts down, two shots with a pause
     * between.
     */
    @Test
    void aLogThatNobodyKnowsIsGuessedWithReasons() throws ImportFailure {
        String text = "Export v3\nstation 2\n\nZeit;Druck psi;Waage;Kessel\n"
                + rows("%.0f;%.2f;%.1f;%.1f", 0, Locale.GERMANY) + "\n"
                + rows("%.0f;%.2f;%.1f;%.1f", 120, Locale.GERMANY);
        MappingGuess guess = MappingGuess.of("log", text);
        assertThat(guess.mapping().shape()).isEqualTo(new TableShape.Lines(';', ',', 4, 5));
        assertThat(guess.mapping().columns()).extracting(rule -> rule.role().key())
                .containsExactly("time", "pressure", "cup_mass", "temperature");
        assertThat(guess.reasons().get("Waage")).isEqualTo("its numbers fall to −38, as a filling cup does");
        assertThat(guess.reasons().get(MappingGuess.SPLIT)).isEqualTo("there is a pause of 90 s");
        assertThat(read(text)).hasSize(2).allSatisfy(MappingTest::assertShot);
    }

    @Test
    void shotsAreToldApartByNumberAndByAClockThatStartsAgain() throws ImportFailure {
        String byId = "shot,time s,pressure psi,weight,dose_g\n" + IntStream.range(0, 3)
                .mapToObj(k -> rows(k + 7 + ",%.0f,%.2f,%.1f", 0, Locale.ROOT)
                        .lines()
                        .map(line -> line + ",18." + k)
                        .collect(Collectors.joining("\n")))
                .collect(Collectors.joining("\n"));
        List<ParsedShot> shots = read(byId.replace("time s", "time ms"));
        assertThat(shots).hasSize(3);
        assertThat(shots.get(2).shot().record().number(RecordField.DOSE)).hasValue(18.2);
        assertThat(shots.get(2).shot().record().text(RecordField.NAME)).hasValue("9");
        String byReset = "time ms,pressure psi,weight\n" + rows("%.0f,%.2f,%.1f", 0, Locale.ROOT) + "\n"
                + rows("%.0f,%.2f,%.1f", 0, Locale.ROOT);
        assertThat(MappingGuess.of("log", byReset).mapping().split().kind()).isEqualTo(ShotSplit.Kind.RESET);
        assertThat(read(byReset)).hasSize(2);
        assertThat(
                MappedReader.readText("log", byReset, MappingGuess.of("log", byReset).mapping().with(ShotSplit.NONE)))
                .hasSize(1);
    }

    @Test
    void jsonIsReadAsRecordsAndAsArraysWhereverItLies() throws ImportFailure {
        String records = IntStream.range(0, 300)
                .mapToObj(i -> String.format(Locale.ROOT, "{\"t\": %.1f, \"pressure_bar\": %.3f, \"weight\": %s}",
                        i / 10.0, pressure(i / 10.0),
                        i == 5 ? "null" : String.format(Locale.ROOT, "%.2f", mass(i / 10.0))))
                .collect(Collectors.joining(","));
        String asRecords = "{\"machine\": \"x\", \"data\": {\"samples\": [" + records + "]}}";
        assertThat(MappingGuess.of("log", asRecords).mapping().shape()).isEqualTo(new TableShape.Json("data.samples"));
        assertThat(read(asRecords)).singleElement().satisfies(MappingTest::assertShot);
        String arrays = "{\"t\": [" + joined(t -> t) + "], \"pressure_bar\": [" + joined(MappingTest::pressure)
                + "], \"weight\": [" + joined(MappingTest::mass) + "]}";
        String several = "{\"shots\": [{\"log\": " + arrays + "}, {\"log\": " + arrays + "}]}";
        assertThat(MappingGuess.of("log", several).mapping().shape()).isEqualTo(new TableShape.Json("shots[*].log"));
        assertThat(read(several)).hasSize(2).allSatisfy(MappingTest::assertShot);
        assertThatThrownBy(() -> MappedReader.readText("log", several,
                MappingGuess.of("log", several).mapping().with(new TableShape.Json("nothing"))))
                .hasMessage("log: There is nothing at “nothing” in the JSON. Choose another path.");
    }

    private static String joined(DoubleUnaryOperator of) {
        return IntStream.range(0, 300)
                .mapToObj(i -> String.format(Locale.ROOT, "%.4f", of.applyAsDouble(i / 10.0)))
                .collect(Collectors.joining(","));
    }

    @Test
    void scaleOffsetSignAndRateAreApplied() throws ImportFailure {
        String text = "a,b\n" + IntStream.range(0, 50).mapToObj(i -> i + "," + -i).collect(Collectors.joining("\n"));
        TableMapping mapping = new TableMapping("own", new TableShape.Lines(',', '.', 1, 2), List.of(
                new ColumnRule("a", new ColumnRole.OfChannel(Channel.PRESSURE), Optional.of(Unit.KILOPASCAL), false, 2,
                        100),
                new ColumnRule("b", new ColumnRole.OfChannel(Channel.CUP_MASS), Optional.of(Unit.GRAM), true, 0.5, 0)),
                OptionalDouble.of(5), ShotSplit.NONE);
        var log = MappedReader.readText("log", text, mapping).get(0).shot().log();
        assertThat(log.time().get(10)).isCloseTo(2, within(1e-12));
        assertThat(log.find(Channel.PRESSURE).orElseThrow().get(10)).isCloseTo(1.2, within(1e-12));
        assertThat(log.find(Channel.CUP_MASS).orElseThrow().get(10)).isCloseTo(5, within(1e-12));
    }

    @Test
    void mappingsAreKeptAndSharedAsTheyAre() throws ImportFailure {
        String text = "shot\tZeit\tDruck psi\tWaage\n" + rows("1\t%.0f\t%.2f\t%.1f", 0, Locale.ROOT) + "\n"
                + rows("2\t%.0f\t%.2f\t%.1f", 50, Locale.ROOT);
        TableMapping mapping = MappingGuess.of("log", text)
                .mapping()
                .named("Bench logger")
                .with(new ShotSplit(ShotSplit.Kind.GAP, 12.5));
        assertThat(MappingJson.read("m", MappingJson.write(mapping))).isEqualTo(mapping);
        assertThat(mapping.fits(List.of("SHOT", "zeit", "druck PSI", "waage", "more"))).isTrue();
        assertThat(mapping.fits(List.of("shot", "Zeit", "Druck psi"))).isFalse();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', value = {
            "{} | m: This is not a mapping of version 1.", "nonsense | m, line 1: The mapping is not JSON",
            "{\"format\":\"grenu-mapping\",\"version\":1,\"columns\":[{\"column\":\"x\",\"is\":\"colour\"}]} | m: "
                    + "Column “x” is “colour”, which is not known.",
            "{\"format\":\"grenu-mapping\",\"version\":1,\"columns\":[{\"column\":\"x\",\"is\":\"pressure\","
                    + "\"unit\":\"°C\"}]} | m: Column “x” is in “°C”, a unit that is not known for it.",
            "{\"format\":\"grenu-mapping\",\"version\":1,\"columns\":[{\"column\":\"x\",\"is\":\"pressure\","
                    + "\"scale\":0}]} | m: Column “x”: the scale must be a number other than 0",
            "{\"format\":\"grenu-mapping\",\"version\":1,\"columns\":[],\"shots\":{\"by\":\"colour\"}} | m: "
                    + "“shots.by” is “colour”: none, id, gap or reset.",
    })
    void brokenMappingsAreExplained(String text, String message) {
        assertThatThrownBy(() -> MappingJson.read("m", text)).isInstanceOf(ImportFailure.class)
                .hasMessageStartingWith(message);
    }

    @Test
    void wrongCellsAreNamedWithLineAndColumn() throws ImportFailure {
        String text = "time,pressure\n0,1\n1,2\n2,o3\n3,4\n";
        assertThatThrownBy(() -> read(text))
                .hasMessage("log, line 4: Column “pressure” holds “o3”, which is not a number. "
                        + "Correct the cell, empty it if the sample is missing, or choose not to read the column.");
        TableMapping onlyTime = new TableMapping("", new TableShape.Lines(',', '.', 1, 2), List.of(),
                OptionalDouble.of(10), ShotSplit.NONE);
        assertThatThrownBy(() -> MappedReader.readText("log", text, onlyTime))
                .hasMessageContaining("No column is a channel.");
        assertThatThrownBy(() -> MappedReader.readText("log", text, MappingGuess.of("log", text)
                .mapping()
                .with(new ShotSplit(ShotSplit.Kind.ID, 0)))).hasMessageContaining("No column is the shot number.");
        assertThatThrownBy(() -> MappedReader.read("log", new byte[] {1, 0, 2, 0}, onlyTime))
                .hasMessageContaining("not text");
        assertThatThrownBy(() -> MappedReader.read("log", new byte[0], onlyTime)).hasMessageContaining("empty");
    }

    /** Whatever comes in, it is guessed, read or refused in words; nothing hangs or falls over. */
    @ParameterizedTest
    @Seeds(400)
    void nothingHostileDoesHarm(Draws any) {
        String text = any.text();
        byte[] bytes = any.bytes(0, 300);
        for (String hostile : new String[] {text, new String(bytes, StandardCharsets.ISO_8859_1), "{" + text,
                "time,p\n" + text, "\"" + text + "\n1,2\n3,4"}) {
            try {
                read(hostile);
            } catch (ImportFailure refused) {
                assertThat(refused.reason()).isNotBlank();
                assertThat(refused.remedy()).isNotBlank();
            }
        }
    }

    @Test
    void aHundredThousandLinesAreOneMoreFile() throws ImportFailure {
        String text = "time,pressure,weight\n" + IntStream.range(0, 100_000)
                .mapToObj(i -> String.format(Locale.ROOT, "%.1f,%.2f,%.1f", i % 400 / 10.0,
                        pressure(i % 400 / 10.0), mass(i % 400 / 10.0)))
                .collect(Collectors.joining("\n"));
        assertThat(read(text)).hasSize(250);
    }
}
