package org.grenu.formats.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.demo.DemoShelf;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotState;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.formats.ImportFailure;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DataPackageTest {

    private static final List<ArchivedChange> HISTORY = List.of(
            new ArchivedChange(7, new ArchivedChange.Thing("", "", 0), "dose_g", "18", "17.5", "misread, \"twice\"",
                    "2026-06-01T08:00:00Z"),
            new ArchivedChange(0, new ArchivedChange.Thing("coffee", "Lot Heron 14", 1), "moisture_pct", "", "1.8", "",
                    "2026-06-02T08:00:00Z"));

    @TempDir
    private Path folder;
    private Path file;

    @BeforeEach
    void write() throws IOException {
        file = folder.resolve("library.zip");
        try (OutputStream out = Files.newOutputStream(file)) {
            DataPackageWriter.write(new Source(), out);
        }
    }

    /**
     * Two demo shots and one with all that is awkward: a gap, a channel that never spoke, words that look like
     * other things.
     */
    private static List<ArchivedShot> shots() {
        ShotRecord awkward = ShotRecord.EMPTY.with(RecordField.NOTE, "=1+1, \"quoted\"\nsecond line; ü")
                .with(RecordField.READINGS, "9.4@0/24.1/?/filtered; 9.45")
                .with(RecordField.DOSE, 1.0 / 3 + 17)
                .with(RecordField.PROFILE_STEPS, "main: pressure 9 over 3 s ±0.6")
                .withExtra("beans frozen", "3 h, {dry}");
        ShotLog log = new ShotLog(Samples.of(0, 0.1, 0.30000000000000004),
                Map.of(Channel.PRESSURE, Samples.of(0, Double.NaN, 1e-17),
                        Channel.TEMPERATURE, Samples.of(Double.NaN, Double.NaN, Double.NaN)));
        List<ArchivedShot> shots = new ArrayList<>();
        shots.add(new ArchivedShot(2, ShotState.RECORDED, DemoStudy.shots().get(0).shot(), "a.csv",
                new byte[] {0, -1, 13}, List.of()));
        shots.add(new ArchivedShot(7, ShotState.PLANNED, new Shot(awkward, log), "ünder.csv", new byte[0],
                List.of(new ArchivedShot.ArchivedFile("../puck.jpg", new byte[] {9}))));
        return shots;
    }

    private static final class Source implements ArchiveSource {
        private final List<ArchivedShot> shots = shots();

        @Override
        public String title() {
            return "Two shots";
        }

        @Override
        public List<Integer> numbers() {
            return shots.stream().map(ArchivedShot::number).toList();
        }

        @Override
        public ShotRecord record(int number) {
            return shot(number).shot().record();
        }

        @Override
        public ArchivedShot shot(int number) {
            return shots.stream().filter(shot -> shot.number() == number).findFirst().orElseThrow();
        }

        @Override
        public List<ShelfItem> shelf() {
            return DemoShelf.items();
        }

        @Override
        public List<ArchivedChange> history() {
            return HISTORY;
        }
    }

    private static final class Taken implements ArchiveTarget {
        private final List<ArchivedShot> shots = new ArrayList<>();
        private List<ShelfItem> shelf;
        private List<ArchivedChange> history;

        @Override
        public void shelf(List<ShelfItem> items) {
            shelf = items;
        }

        @Override
        public void shot(ArchivedShot shot) {
            shots.add(shot);
        }

        @Override
        public void history(List<ArchivedChange> changes) {
            history = changes;
        }
    }

    @Test
    void nothingIsLost() throws ImportFailure {
        Taken taken = new Taken();
        DataPackageReader.read(file, taken);
        assertThat(taken.history).isEqualTo(HISTORY);
        List<ArchivedShot> written = shots();
        for (int i = 0; i < written.size(); i++) {
            ArchivedShot before = written.get(i);
            ArchivedShot after = taken.shots.get(i);
            assertThat(after.number()).isEqualTo(before.number());
            assertThat(after.shot()).isEqualTo(before.shot());
            assertThat(after.rawName()).isEqualTo(before.rawName());
            assertThat(after.raw()).isEqualTo(before.raw());
            assertThat(after.files()).hasSameSizeAs(before.files());
        }
        assertThat(taken.shots.get(1).files().get(0)).satisfies(photo -> {
            assertThat(photo.name()).isEqualTo("../puck.jpg");
            assertThat(photo.bytes()).containsExactly(9);
        });
        assertThat(taken.shelf).hasSameSizeAs(DemoShelf.items());
        DemoShelf.items().forEach(item -> assertThat(taken.shelf).anySatisfy(read -> {
            assertThat(read.name()).isEqualTo(item.name());
            assertThat(read.kind()).isEqualTo(item.kind());
            assertThat(read.versions())
                    .extracting(
                            version -> List.of(version.number(), version.since(), version.changed(), version.entries()))
                    .isEqualTo(item.versions()
                            .stream()
                            .map(version -> List.<Object>of(version.number(), version.since(), version.changed(),
                                    version.entries()))
                            .toList());
        }));
    }

    @Test
    void theDescriptorNamesEveryTableAndEveryUnit() throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            JsonNode root = new ObjectMapper().readTree(zip.getInputStream(zip.getEntry("datapackage.json")));
            assertThat(root.path("profile").asText()).isEqualTo("tabular-data-package");
            for (JsonNode resource : root.path("resources")) {
                assertThat(zip.getEntry(resource.path("path").asText())).as(resource.path("name").asText()).isNotNull();
                String heading = new String(
                        zip.getInputStream(zip.getEntry(resource.path("path").asText())).readAllBytes(),
                        StandardCharsets.UTF_8).lines().findFirst().orElseThrow();
                List<String> names = new ArrayList<>();
                resource.path("schema").path("fields").forEach(field -> names.add(field.path("name").asText()));
                assertThat(String.join(",", names)).isEqualTo(heading);
            }
            assertThat(root.at("/resources").toString())
                    .contains("\"name\":\"dose_g\",\"type\":\"number\",\"title\":\"Dose\",\"description\":\"unit: g\"")
                    .contains("\"name\":\"pressure\",\"type\":\"number\",\"title\":\"Pressure\","
                            + "\"description\":\"unit: bar\"");
        }
    }

    @Test
    void theSameLibraryGivesTheSameFile() throws IOException {
        ByteArrayOutputStream again = new ByteArrayOutputStream();
        DataPackageWriter.write(new Source(), again);
        assertThat(again.toByteArray()).isEqualTo(Files.readAllBytes(file));
    }

    @Nested
    class Refusing {

        /** The package with some entries written otherwise; null leaves one out. */
        private Path with(Map<String, byte[]> others) throws IOException {
            Path altered = folder.resolve("altered.zip");
            try (ZipFile zip = new ZipFile(file.toFile());
                    ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(altered))) {
                Map<String, byte[]> entries = new LinkedHashMap<>();
                for (ZipEntry entry : zip.stream().toList()) {
                    entries.put(entry.getName(), zip.getInputStream(entry).readAllBytes());
                }
                entries.putAll(others);
                for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
                    if (entry.getValue() != null) {
                        out.putNextEntry(new ZipEntry(entry.getKey()));
                        out.write(entry.getValue());
                    }
                }
            }
            return altered;
        }

        private void refuses(Map<String, byte[]> others, String words) throws IOException {
            Path altered = with(others);
            assertThatThrownBy(() -> DataPackageReader.read(altered, new Taken())).isInstanceOf(ImportFailure.class)
                    .hasMessageContaining(words);
        }

        private byte[] text(String entry, String from, String to) throws IOException {
            try (ZipFile zip = new ZipFile(file.toFile())) {
                String text = new String(zip.getInputStream(zip.getEntry(entry)).readAllBytes(),
                        StandardCharsets.UTF_8);
                assertThat(text).contains(from);
                return text.replace(from, to).getBytes(StandardCharsets.UTF_8);
            }
        }

        @Test
        void namesThatLeadOut() throws IOException {
            for (String path : new String[] {"../evil.sh", "/etc/passwd", "data/../../evil", "C:\\evil", "a\\..\\b",
                    "./x"}) {
                refuses(Map.of(path, new byte[] {1}), "that leads out of it");
            }
        }

        @Test
        void bombs() throws IOException {
            byte[] zeros = new byte[64 << 20];
            Arrays.fill(zeros, (byte) '\n');
            refuses(Map.of("data/curves.csv", zeros), "unpacks to more than it can be");
            refuses(Map.of("raw/shot-2", zeros), "unpacks to more than it can be");
        }

        @Test
        void whatIsNoPackage() throws IOException {
            Path text = Files.writeString(folder.resolve("notes.zip"), "PK, said the crow");
            assertThatThrownBy(() -> DataPackageReader.read(text, new Taken())).isInstanceOf(ImportFailure.class)
                    .hasMessageStartingWith("notes.zip: This is not a zip file");
            Map<String, byte[]> none = new LinkedHashMap<>();
            none.put("datapackage.json", null);
            refuses(none, "no datapackage.json");
            refuses(Map.of("datapackage.json", "{".getBytes(StandardCharsets.UTF_8)), "is not JSON");
            refuses(Map.of("datapackage.json", "{\"profile\":\"x\"}".getBytes(StandardCharsets.UTF_8)),
                    "not a library that Grenu wrote");
            refuses(Map.of("datapackage.json", text("datapackage.json", "\"version\" : 1", "\"version\" : 2")),
                    "newer Grenu");
        }

        /** A mistake is named with its table and line. */
        @Test
        void impossibleEntries() throws IOException {
            refuses(Map.of("data/shots.csv", text("data/shots.csv", ",18,18,40,", ",18,9000,40,")),
                    "data/shots.csv, line");
            String curves = new String(text("data/curves.csv", "shot,time_s", "shot,time_s"), StandardCharsets.UTF_8);
            String stray = "9,0.1"
                    + ",".repeat(
                            (int) curves.lines().findFirst().orElseThrow().chars().filter(c -> c == ',').count() - 1)
                    + "\n";
            refuses(Map.of("data/curves.csv", (curves + stray).getBytes(StandardCharsets.UTF_8)), "There is no shot 9");
            refuses(Map.of("data/curves.csv", text("data/curves.csv", "\n7,0.1,", "\n7,NaN,")),
                    "which is no measurement");
            String noChannel = new String(text("data/shots.csv", "cup_mass", "cup_mass"), StandardCharsets.UTF_8)
                    .replaceAll(",[a-z_ ]*cup_mass[a-z_ ]*,", ",luck,");
            refuses(Map.of("data/shots.csv", noChannel.getBytes(StandardCharsets.UTF_8)),
                    "names no channel that is known");
            refuses(Map.of("data/coffees.csv", text("data/coffees.csv", "light-medium,78", "light-medium,much")),
                    "is not a number");
            Map<String, byte[]> noCurve = Map.of("data/curves.csv", "shot,time_s\n".getBytes(StandardCharsets.UTF_8));
            refuses(noCurve, "There is no curve of shot 2, 7");
            Map<String, byte[]> noRaw = new LinkedHashMap<>();
            noRaw.put("raw/shot-2", null);
            refuses(noRaw, "no entry “raw/shot-2”");
        }
    }
}
