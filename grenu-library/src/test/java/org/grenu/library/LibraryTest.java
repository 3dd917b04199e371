package org.grenu.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveDigest;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.jdbi.v3.core.Jdbi;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LibraryTest {

    private static final List<Shot> SHOTS = DemoStudy.shots().stream().map(DemoStudy.DemoShot::shot).toList();
    private static final byte[] RAW = {0, 1, -1, 13, 10, 0, 127};

    @TempDir
    private Path folder;

    private Path file() {
        return folder.resolve("made").resolve("library.sqlite");
    }

    @Nested
    class Keeping {

        /** A log of a whole day is stored once, and each of its shots gives it back. */
        @Test
        void severalShotsOfOneFileShareIt() {
            try (Library library = Library.open(file())) {
                SHOTS.subList(0, 3).forEach(shot -> Stored.add(library, "day.csv", RAW, shot));
                Stored.add(library, "other.csv", RAW, SHOTS.get(4));
                Stored.add(library, "day.csv", new byte[] {1}, SHOTS.get(5));
                assertThat(Stored.add(library, "day.csv", RAW, SHOTS.get(0)))
                        .as("the same shot once more")
                        .isNotInstanceOf(AddOutcome.Added.class);
                assertThat(Stored.shots(library)).hasSize(5)
                        .allSatisfy(
                                shot -> assertThat(Stored.file(library, shot.id()).orElseThrow().bytes())
                                        .isNotEmpty());
                int files = Jdbi.create("jdbc:sqlite:" + file())
                        .withHandle(h -> h.createQuery("SELECT count(*) FROM raw_file").mapTo(Integer.class).one());
                assertThat(files).as("two names, two contents").isEqualTo(3);
            }
        }

        /** Points read off a gauge may be the same for two shots: file, name and time tell them apart. */
        @Test
        void twoShotsOfTheSameFewPointsAreTwo() {
            ShotLog gauge = new ShotLog(Samples.of(0, 4, 8, 20, 34),
                    Map.of(Channel.PRESSURE, Samples.of(0, 3, 9, 8, 6)));
            Shot first = new Shot(ShotRecord.EMPTY.with(RecordField.FILE, "lever_1.csv"), gauge);
            Shot second = first.with(ShotRecord.EMPTY.with(RecordField.FILE, "lever_2.csv"));
            try (Library library = Library.open(file())) {
                assertThat(Stored.add(library, "lever_1.csv", RAW, first)).isInstanceOf(AddOutcome.Added.class);
                assertThat(Stored.add(library, "lever_2.csv", RAW, second)).isInstanceOf(AddOutcome.Added.class);
                assertThat(Stored.add(library, "lever_2.csv", RAW, second)).as("the same file once more")
                        .isEqualTo(new AddOutcome.Duplicate(2));
                assertThat(Stored.shots(library)).allSatisfy(
                        shot -> assertThat(Stored.log(library, shot.id())).isEqualTo(gauge));
            }
        }

        /** Of two written alike each comes over once, and none a second time. */
        @Test
        void twoWrittenAlikeAreTwoWhereverTheyGo() {
            Shot alike = new Shot(ShotRecord.EMPTY.with(RecordField.DOSE, "18"), ShotLog.NONE);
            try (Library library = Library.open(file())) {
                for (int time = 0; time < 2; time++) {
                    Set<Integer> met = new HashSet<>();
                    for (int shot = 0; shot < 2; shot++) {
                        AddOutcome outcome = library
                                .write(tx -> tx.shots().add("", new byte[0], alike, 0, Set.copyOf(met)));
                        met.add(outcome instanceof AddOutcome.Added added ? added.shot().number()
                                : ((AddOutcome.Duplicate) outcome).number());
                    }
                }
                assertThat(Stored.shots(library)).hasSize(2);
            }
        }

        @Test
        void settingsAreKeptReplacedAndOutliveTheLibrary() {
            try (Library library = Library.open(file())) {
                library.store(tx -> tx.settings()
                        .keep(Map.of("read_axis", "cup_mass", "mapping.Bench ü", "{\"a\": \"b;c\"}")));
                library.store(tx -> tx.settings().keep(Map.of("read_axis", "pump_on")));
            }
            try (Library library = Library.open(file())) {
                assertThat(Stored.settings(library)).containsExactlyInAnyOrderEntriesOf(
                        Map.of("read_axis", "pump_on", "mapping.Bench ü", "{\"a\": \"b;c\"}"));
            }
        }

        @Test
        void everyShotComesBackEqualAfterReopening() {
            Shot awkward = SHOTS.get(4)
                    .with(SHOTS.get(4)
                            .record()
                            .with(RecordField.NOTE, "a \"note\"\nin two lines")
                            .with(RecordField.MOISTURE, 1.0 / 3)
                            .with(RecordField.REPAIRS_OFF, "scale_knock")
                            .withExtra("beans frozen", "3 h"));
            try (Library library = Library.open(file())) {
                assertThat(Stored.add(library, "a.csv", RAW, SHOTS.get(0)))
                        .isInstanceOf(AddOutcome.Added.class);
                Stored.add(library, "b.csv", RAW, awkward);
                Stored.add(library, "c.csv", RAW, SHOTS.get(5));
            }
            try (Library library = Library.open(file())) {
                List<ShotSummary> stored = Stored.shots(library);
                assertThat(stored).extracting(ShotSummary::number).containsExactly(1, 2, 3);
                assertThat(stored.get(1).record()).isEqualTo(awkward.record());
                assertThat(Stored.log(library, stored.get(1).id())).isEqualTo(awkward.log());
                assertThat(stored.get(2).digest()).isEqualTo(
                        CurveDigest.of(CurveMeasures.of(SHOTS.get(5).log(), SHOTS.get(5).record().curveSettings())));
                RawFile raw = Stored.file(library, stored.get(0).id()).orElseThrow();
                assertThat(raw.name()).isEqualTo("a.csv");
                assertThat(raw.bytes()).isEqualTo(RAW);
            }
        }

        @Test
        void aShotWithTheSameSamplesIsADuplicateWhateverItsFileAndRecord() {
            try (Library library = Library.open(file())) {
                Stored.add(library, "a.csv", RAW, SHOTS.get(0));
                Shot relabelled = SHOTS.get(0).with(SHOTS.get(0).record().with(RecordField.COFFEE, "Lot Siskin 3"));
                assertThat(Stored.add(library, "b.json", new byte[] {1}, relabelled))
                        .isEqualTo(new AddOutcome.Duplicate(1));
                assertThat(Stored.shots(library)).hasSize(1);
            }
        }

        @Test
        void resultsOfAnOlderAlgorithmAreMadeAnew() {
            try (Library library = Library.open(file())) {
                Stored.add(library, "a.csv", RAW, SHOTS.get(0));
                Jdbi.create("jdbc:sqlite:" + file())
                        .useHandle(h -> h.execute("UPDATE curve_digest SET algorithm = 0, beverage_g = 1"));
                assertThat(Stored.shots(library).get(0).digest().beverage().orElseThrow().value())
                        .isGreaterThan(30);
            }
        }
    }

    @Nested
    class Editing {

        @Test
        void undoAndRedoGoAllTheWayAndSurviveReopening() {
            try (Library library = Library.open(file())) {
                Stored.add(library, "a.csv", RAW, SHOTS.get(0));
                for (int i = 0; i < 60; i++) {
                    edit(library, RecordField.DOSE, "" + (15 + 0.1 * i));
                }
            }
            try (Library library = Library.open(file())) {
                assertThat(Stored.depth(library)).isEqualTo(new EditDepth(60, 0));
                for (int i = 0; i < 60; i++) {
                    assertThat(Stored.undo(library)).isPresent();
                }
                assertThat(Stored.undo(library)).isEmpty();
                assertThat(Stored.shots(library).get(0).record()).isEqualTo(SHOTS.get(0).record());
                for (int i = 0; i < 60; i++) {
                    Stored.redo(library);
                }
                assertThat(Stored.redo(library)).isEmpty();
                assertThat(Stored.shots(library).get(0).record().number(RecordField.DOSE))
                        .hasValue(15 + 0.1 * 59);
            }
        }

        @Test
        void aNewEditEndsWhatCouldBeRedone() {
            try (Library library = Library.open(file())) {
                Stored.add(library, "a.csv", RAW, SHOTS.get(0));
                edit(library, RecordField.DOSE, "17");
                Stored.undo(library);
                edit(library, RecordField.MOISTURE, "");
                assertThat(Stored.redo(library)).isEmpty();
                assertThat(Stored.undo(library)).map(s -> s.changes().get(0).key())
                        .contains("moisture_pct");
                assertThat(Stored.undo(library)).isEmpty();
            }
        }

        @Test
        void switchingARepairOffChangesWhatTheLogSays() {
            try (Library library = Library.open(file())) {
                Stored.add(library, "tare.csv", RAW, SHOTS.get(15));
                Optional<Double> repaired = Stored.shots(library)
                        .get(0)
                        .digest()
                        .beverage()
                        .map(b -> b.value());
                StoredStep off = edit(library, RecordField.PUMP_OFF, "20");
                assertThat(off.shot().digest().times().pumpOff().orElseThrow().seconds()).isEqualTo(20);
                Stored.undo(library);
                assertThat(Stored.shots(library).get(0).digest().beverage().map(b -> b.value()))
                        .isEqualTo(repaired);
            }
        }

        @Test
        void anEditOfAnOutdatedEntryIsRefused() {
            try (Library library = Library.open(file()); Library other = Library.open(file())) {
                Stored.add(library, "a.csv", RAW, SHOTS.get(0));
                ShotSummary seen = Stored.shots(library).get(0);
                edit(other, RecordField.DOSE, "17");
                assertThatThrownBy(() -> library
                        .write(tx -> tx.journal()
                                .make(seen.id(), RecordEdit.of(seen.record(), RecordField.DOSE, "19"))))
                        .isInstanceOf(LibraryException.class)
                        .hasMessageContaining("changed by another window to “17”");
                assertThat(Stored.shots(library).get(0).record().number(RecordField.DOSE)).hasValue(17);
            }
        }

        /** What the machine's entry says of its sensor counts in what is kept of the curves, and follows a change. */
        @Test
        void theDigestFollowsThePressureAtRest() {
            ShotLog log = SHOTS.get(0).log();
            double[] pressure = log.find(Channel.PRESSURE).orElseThrow().toArray();
            // A log that stops while the pump runs never comes to rest.
            int end = (int) (log.size() * 0.6);
            Map<Channel, Samples> shown = Map.of(Channel.PRESSURE,
                    Samples.of(Arrays.stream(pressure).limit(end).map(bar -> bar + 0.6).toArray()));
            Shot shot = new Shot(ShotRecord.EMPTY, new ShotLog(
                    Samples.of(Arrays.stream(log.time().toArray()).limit(end).toArray()), shown));
            try (Library library = Library.open(file())) {
                Stored.add(library, "a.csv", RAW, shot);
                double before = peak(library);
                edit(library, RecordField.PRESSURE_AT_REST, "0.6");
                assertThat(peak(library)).isCloseTo(before - 0.6, within(0.01));
            }
            try (Library library = Library.open(file())) {
                edit(library, RecordField.PRESSURE_AT_REST, "0.5");
                double half = peak(library);
                edit(library, RecordField.PRESSURE_AT_REST, "");
                assertThat(peak(library)).isCloseTo(half + 0.5, within(0.01));
            }
        }

        private static double peak(Library library) {
            return Stored.shots(library).get(0).digest().peakPressure().orElseThrow();
        }

        private StoredStep edit(Library library, RecordField field, String typed) {
            ShotSummary shot = Stored.shots(library).get(0);
            return library.write(tx -> tx.journal().make(shot.id(), RecordEdit.of(shot.record(), field, typed)));
        }
    }

    @Nested
    class Opening {

        @Test
        void aNewerLibraryIsRefusedAndLeftAlone() {
            Library.open(file()).close();
            Jdbi.create("jdbc:sqlite:" + file())
                    .useHandle(
                            h -> h.execute("INSERT INTO flyway_schema_history (installed_rank, version, description, "
                                    + "type, script, installed_by, execution_time, success) VALUES (99, '99', "
                                    + "'later', 'SQL', 'V99__later.sql', 'x', 1, 1)"));
            assertThatThrownBy(() -> Library.open(file())).isInstanceOf(LibraryException.class)
                    .hasMessageContaining("written by a newer Grenu (version 99, this program knows "
                            + Migrations.NEWEST + ")")
                    .hasMessageContaining("--library");
        }

        @Test
        void anOlderLibraryIsCopiedThenBroughtUpToDate() throws IOException {
            Files.createDirectories(file().getParent());
            Flyway.configure()
                    .dataSource("jdbc:sqlite:" + file(), "", "")
                    .locations("classpath:org/grenu/library/migration")
                    .target("1")
                    .load()
                    .migrate();
            Jdbi.create("jdbc:sqlite:" + file()).useHandle(h -> {
                h.execute("INSERT INTO raw_file VALUES (1, 'old.csv', 'x', x'00', '2026-01-01')");
                h.execute(
                        "INSERT INTO shot (number, raw_file_id, log_digest, imported_at, dose_g) VALUES (7, 1, 'd', "
                                + "'2026-01-01', 18.5)");
                h.execute("INSERT INTO samples VALUES (1, 'time', 4, ?), (1, 'pressure', 4, ?)",
                        SampleBlob.pack(Samples.of(0, 1, 2, 3)), SampleBlob.pack(Samples.of(0, 9, 9, 0)));
            });
            try (Library library = Library.open(file())) {
                assertThat(Stored.shots(library)).singleElement().satisfies(shot -> {
                    assertThat(shot.number()).isEqualTo(7);
                    assertThat(shot.record().number(RecordField.DOSE)).hasValue(18.5);
                });
            }
            try (Stream<Path> files = Files.list(file().getParent())) {
                Path copy = files.filter(f -> f.toString().endsWith(".before-v" + Migrations.NEWEST))
                        .findFirst()
                        .orElseThrow();
                List<Double> doses = Jdbi.create("jdbc:sqlite:" + copy)
                        .withHandle(h -> h.createQuery("SELECT dose_g FROM shot").mapTo(Double.class).list());
                assertThat(doses).containsExactly(18.5);
            }
        }

        /**
         * Entries that the user makes up are stored, undone after a restart, and never lost by another entry's
         * edit.
         */
        @Test
        void entriesThatTheUserMakesUpAreKeptAndUndoneLikeAnyOther() {
            long id;
            try (Library library = Library.open(file())) {
                Stored.add(library, "a.csv", new byte[] {1},
                        new Shot(
                                ShotRecord.EMPTY.withExtra("screen", "old")
                                        .with(RecordField.ARM, "control")
                                        .with(RecordField.FAULT_ON_PURPOSE, "yes"),
                                new ShotLog(Samples.of(0, 1, 2),
                                        Map.of(Channel.PRESSURE, Samples.of(0, 9, 0)))));
                ShotSummary shot = Stored.shots(library).get(0);
                id = shot.id();
                library.write(tx -> tx.journal().make(id, RecordEdit.ofOwn(shot.record(), "beans frozen", "yes")));
                ShotRecord after = Stored.shots(library).get(0).record();
                library.write(tx -> tx.journal().make(id, RecordEdit.of(after, RecordField.DOSE, "17.5")));
                library.write(tx -> tx.journal()
                        .make(id, RecordEdit.ofOwn(Stored.shots(library).get(0).record(), "screen", "")));
            }
            try (Library library = Library.open(file())) {
                ShotRecord record = Stored.shots(library).get(0).record();
                assertThat(record.extras()).containsExactly(Map.entry("beans frozen", "yes"));
                assertThat(record.entry(RecordField.ARM)).contains("control");
                assertThat(record.flag(RecordField.FAULT_ON_PURPOSE)).isTrue();
                assertThat(Stored.undo(library)).map(stored -> stored.words()).contains("screen");
                assertThat(Stored.shots(library).get(0).record().extras()).containsEntry("screen", "old")
                        .containsEntry("beans frozen", "yes");
                Stored.undo(library);
                Stored.undo(library);
                assertThat(Stored.shots(library).get(0).record().extras())
                        .containsExactly(Map.entry("screen", "old"));
                assertThat(Stored.redo(library))
                        .map(stored -> stored.shot().record().extras().get("beans frozen"))
                        .contains("yes");
                ShotRecord seen = Stored.shots(library).get(0).record();
                library.write(tx -> tx.journal().make(id, RecordEdit.ofOwn(seen, "screen", "new")));
                assertThatThrownBy(
                        () -> library.write(tx -> tx.journal().make(id, RecordEdit.ofOwn(seen, "screen", "newest"))))
                        .isInstanceOf(LibraryException.class)
                        .hasMessageContaining("screen of shot 1 was changed by another window to “new”");
            }
        }

        @Test
        void settingsAreKeptReplacedAndForgotten() {
            try (Library library = Library.open(file())) {
                library.store(tx -> tx.settings()
                        .keep(Map.of("time_convention", "first_drip_to_pump_off", "read_axis", "cup_mass")));
                library.store(tx -> tx.settings().keep(Map.of("time_convention", "", "read_axis", "pump_on")));
            }
            try (Library library = Library.open(file())) {
                assertThat(Stored.settings(library)).isEqualTo(Map.of("read_axis", "pump_on"));
            }
        }

        @Test
        void otherAndDamagedFilesAreRefusedInWords() throws IOException {
            Path text = Files.writeString(folder.resolve("notes.txt"), "these are notes, ".repeat(200));
            assertThatThrownBy(() -> Library.open(text)).isInstanceOf(LibraryException.class)
                    .hasMessageContaining("cannot be opened")
                    .hasMessageContaining("notes.txt");
            Path other = folder.resolve("other.sqlite");
            Jdbi.create("jdbc:sqlite:" + other).useHandle(h -> h.execute("CREATE TABLE birds (name TEXT)"));
            assertThatThrownBy(() -> Library.open(other)).hasMessageContaining("not a Grenu library");
            try (Library library = Library.open(file())) {
                SHOTS.forEach(shot -> Stored.add(library, "x.csv", new byte[100_000], shot));
            }
            byte[] bytes = Files.readAllBytes(file());
            Arrays.fill(bytes, 20_000, 60_000, (byte) 0x5A);
            Files.write(file(), bytes);
            assertThatThrownBy(() -> Library.open(file())).isInstanceOf(LibraryException.class)
                    .hasMessageContaining("damaged");
        }
    }
}
