package org.grenu.formats.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.groups.Tuple.tuple;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.grenu.core.curve.Channel;
import org.grenu.core.demo.DemoShelf;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.record.Masses;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.formats.EntryHeading;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ParsedShot;
import org.grenu.formats.ShelfJson;
import org.grenu.formats.ShotReader;
import org.grenu.formats.exchange.JoinedTable.Candidate;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.api.io.TempDir;

class SpreadsheetsTest {

    private static final ShotRecord SHEET = DemoStudy.shots()
            .get(0)
            .shot()
            .record()
            .with(RecordField.NOTE, "=HYPERLINK(\"http://evil\")")
            .with(RecordField.OPERATOR, "@SUM(A1)")
            .withExtra("body", "+1");

    private static byte[] workbook() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        LibraryWorkbook.write(List.of(new LibraryWorkbook.Row(5, SHEET, Masses.of(SHEET, Optional.empty()))),
                DemoShelf.items(), out);
        return out.toByteArray();
    }

    /** Read back by the reader's own package. */
    @Test
    void numbersAreNumbersAndWordsAreWords() throws IOException {
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(workbook()))) {
            List<Row> rows = book.getFirstSheet().read();
            List<String> heading = rows.get(0).stream().map(cell -> cell.getText()).toList();
            Row shot = rows.get(1);
            assertThat(shot.getCellAsNumber(heading.indexOf("Dose [g]")).orElseThrow().doubleValue()).isEqualTo(18);
            assertThat(shot.getCellText(heading.indexOf("Note"))).isEqualTo("=HYPERLINK(\"http://evil\")");
            assertThat(shot.getCellText(heading.indexOf("body"))).isEqualTo("+1");
            assertThat(shot.getCellAsNumber(heading.indexOf("EY as dosed [%]")).orElseThrow().doubleValue())
                    .isBetween(18.0, 24.0);
            assertThat(book.getSheets().map(sheet -> sheet.getName())).contains("Shots", "Readings", "Coffees",
                    "Machines");
        }
    }

    @Test
    void noCellIsAFormula(@TempDir Path folder) throws IOException {
        try (ZipFile zip = new ZipFile(Files.write(folder.resolve("w.xlsx"), workbook()).toFile())) {
            assertThat(zip.size()).isGreaterThan(5);
            for (ZipEntry entry : zip.stream().toList()) {
                assertThat(new String(zip.getInputStream(entry).readAllBytes(), StandardCharsets.UTF_8))
                        .as(entry.getName())
                        .doesNotContain("<f>", "<f ");
            }
        }
    }

    @Nested
    class Reading {

        private byte[] log() throws IOException {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            Workbook book = new Workbook(out, "Logger", "1.0");
            book.newWorksheet("empty");
            Worksheet sheet = book.newWorksheet("log");
            sheet.value(0, 0, "time [s]");
            sheet.value(0, 1, "pressure [bar]");
            sheet.value(0, 2, "cup mass [g]");
            for (int i = 0; i < 300; i++) {
                sheet.value(i + 1, 0, i * 0.1);
                sheet.value(i + 1, 1, i < 20 ? 0.4 : 9.0);
                sheet.value(i + 1, 2, Math.max(0, i - 60) * 0.15);
            }
            book.finish();
            return out.toByteArray();
        }

        @Test
        void aLogInASpreadsheetIsReadLikeAnyTable() throws IOException, ImportFailure {
            ParsedShot shot = ShotReader.read("log.xlsx", log());
            assertThat(shot.shot().log().time().size()).isEqualTo(300);
            assertThat(shot.shot().log().channels().get(Channel.PRESSURE).get(100)).isEqualTo(9.0);
        }

        @Test
        void otherArchivesAndBombsAreRefused() throws IOException {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            try (ZipOutputStream zip = new ZipOutputStream(out)) {
                zip.putNextEntry(new ZipEntry("readme.txt"));
                zip.write('x');
            }
            assertThatThrownBy(() -> ShotReader.read("notes.zip", out.toByteArray())).isInstanceOf(ImportFailure.class)
                    .hasMessageContaining("not a spreadsheet");
            ByteArrayOutputStream bomb = new ByteArrayOutputStream();
            try (ZipOutputStream zip = new ZipOutputStream(bomb)) {
                zip.putNextEntry(new ZipEntry("xl/worksheets/sheet1.xml"));
                byte[] zeros = new byte[1 << 20];
                for (int i = 0; i < 600; i++) {
                    zip.write(zeros);
                }
            }
            assertThatThrownBy(() -> ShotReader.read("bomb.xlsx", bomb.toByteArray())).isInstanceOf(ImportFailure.class)
                    .hasMessageContaining("unpacks to more");
        }
    }

    @Nested
    class Joining {

        private final List<Candidate> shots = List.of(
                new Candidate(11, 1,
                        ShotRecord.EMPTY.with(RecordField.NAME, "heron-01").with(RecordField.TASTE, "sour")),
                new Candidate(12, 2, ShotRecord.EMPTY),
                new Candidate(13, 3, ShotRecord.EMPTY.with(RecordField.PULLED_AT, "2026-05-13T09:22")));

        private JoinedTable.Plan plan(String text, int key) throws ImportFailure {
            return JoinedTable.read("scores.csv", text.getBytes(StandardCharsets.UTF_8)).plan(key, shots);
        }

        @Test
        void columnsBecomeFieldsAndOwnEntries() throws ImportFailure {
            JoinedTable table = JoinedTable.read("scores.csv",
                    "Body (1-9);Shot;Taste;Dose [g]\n6;1;sweet;18,2\n;2.0;;\n7;9;bitter;18\n"
                            .getBytes(StandardCharsets.UTF_8));
            assertThat(table.guessedKey()).isEqualTo(1);
            JoinedTable.Plan plan = table.plan(1, shots);
            assertThat(plan.matched()).isEqualTo(2);
            assertThat(plan.unmatched()).containsExactly("9");
            assertThat(plan.replaced()).isEqualTo(1);
            assertThat(plan.edits())
                    .extracting(JoinedTable.Joined::shot, joined -> joined.edit().key(),
                            joined -> joined.edit().before(), joined -> joined.edit().after())
                    .containsExactly(tuple(11L, "Body 1-9", "", "6"), tuple(11L, "taste", "sour", "sweet"),
                            tuple(11L, "dose_g", "", "18.2"));
        }

        @Test
        void namesAndTimesFindTheirShotToo() throws ImportFailure {
            assertThat(plan("which,x\nHERON-01,1\n2026-05-13T09:22,2\n", 0).edits())
                    .extracting(JoinedTable.Joined::shot)
                    .containsExactly(11L, 13L);
        }

        /**
         * A laboratory's own notebook: its headings, three readings a row, days of its own form, shots without a log.
         */
        @Test
        void aNotebookIsUnderstoodAsItIsWritten() throws ImportFailure {
            List<Candidate> logged = List.of(
                    new Candidate(1, 1,
                            ShotRecord.EMPTY.with(RecordField.FILE, "lab_1.csv")
                                    .with(RecordField.PULLED_AT, "2024-05-13")),
                    new Candidate(2, 2, ofCampaign("C1")), new Candidate(3, 3, ofCampaign("C2")));
            JoinedTable table = JoinedTable.read("notebook.csv", """
                    Log file,Run,Date,Time,Dose (g),Yield (g),TDS 1,TDS 2,TDS 3,Grind,Temp °C,EY %,Who,Remark
                    lab_1.csv,,13.05.2024,09:10,18.1,38.2,9.57,9.60,9.55,2.2,93,20.1,Operator 1,
                    campaign.csv,C2,16.05.2024,09:15,18.1,38.4,8.80,8.81,,2.6,93,,Operator 1,"late, but fine"
                    ,,23.05.2024,08:10,18,37.9,9.20,9.18,9.22,2.4,93,,Operator 1,no log kept
                    gone.csv,,23.05.2024,08:20,18,37.9,9.20,9.18,9.22,2.4,93,,Operator 1,
                    """.getBytes(StandardCharsets.UTF_8));
            assertThat(table.columns().get(table.guessedKey())).isEqualTo("Log file");
            JoinedTable.Plan plan = table.plan(table.guessedKey(), logged);
            assertThat(plan.matched()).isEqualTo(2);
            assertThat(plan.unmatched()).containsExactly("gone.csv");
            assertThat(plan.refused()).isEmpty();
            ShotRecord first = joined(plan, 1, logged.get(0).record());
            assertThat(first.entry(RecordField.PULLED_AT)).hasValue("2024-05-13T09:10");
            assertThat(first.readings()).hasSize(3);
            assertThat(first.number(RecordField.DOSE)).hasValue(18.1);
            assertThat(first.number(RecordField.BEVERAGE)).hasValue(38.2);
            assertThat(first.number(RecordField.TEMPERATURE)).hasValue(93);
            assertThat(first.text(RecordField.OPERATOR)).hasValue("Operator 1");
            assertThat(first.number(RecordField.STATED_YIELD)).as("a stated yield is kept apart").hasValue(20.1);
            assertThat(plan.edits()).extracting(JoinedTable.Joined::shot).doesNotContain(2L).contains(3L);
            assertThat(plan.created()).singleElement().satisfies(shot -> {
                assertThat(shot.text(RecordField.NOTE)).hasValue("no log kept");
                assertThat(shot.entry(RecordField.PULLED_AT)).hasValue("2024-05-23T08:10");
                assertThat(shot.readings()).hasSize(3);
            });
        }

        /** Headings as people write them, with their units: what is in another unit is turned into the entry's. */
        @Test
        void headingsAreReadWithTheirUnits() throws ImportFailure {
            JoinedTable table = JoinedTable.read("sheet.csv", """
                    Shot #,"Dose, g",Out/g,EY%,Water temp °F,Shot time (s),Time (s),avg TDS (%),Target yield (g)
                    1,18.1,38.2,20.1,199.4,27.5,27.5,9.57,40
                    """.getBytes(StandardCharsets.UTF_8));
            assertThat(table.headings()).extracting(EntryHeading::use)
                    .containsExactly("Shot number or name", "Dose", "Beverage mass", "Extraction yield stated",
                            "Temperature", "your own entry", "your own entry", "Strength reading",
                            "Target beverage mass");
            Candidate shot = new Candidate(1, 1, ShotRecord.EMPTY);
            ShotRecord record = joined(table.plan(table.guessedKey(), List.of(shot)), 1, shot.record());
            assertThat(record.number(RecordField.TEMPERATURE).orElseThrow()).isCloseTo(93, within(1e-9));
            assertThat(record.numbers(RecordField.READINGS)).containsExactly(9.57);
            assertThat(record.number(RecordField.STATED_YIELD)).hasValue(20.1);
            assertThat(record.extras()).as("how long it took").hasSize(2);
            JoinedTable three = JoinedTable.read("sheet.csv",
                    "Shot,Brix 1,Brix 2,mean TDS\n1,11.2,11.3,9.56\n".getBytes(StandardCharsets.UTF_8));
            ShotRecord brix = joined(three.plan(0, List.of(shot)), 1, shot.record());
            assertThat(brix.numbers(RecordField.READINGS)).as("the mean is no third reading").hasSize(2);
            assertThat(brix.strengthSeries().strength().orElseThrow().value()).as("0.85 of 11.25")
                    .isCloseTo(9.5625, within(1e-9));
        }

        /**
         * By day and time, within what clocks differ by; several that fit are none; what fits none is a shot of its
         * own.
         */
        @ParameterizedTest
        @CsvSource(delimiter = '|', value = {"Date,Time,Dose (g);13.05.2024,09:11,18.1 | 1 | 0",
                "Date,Time,Dose (g);13.05.2024,09:22,18.1 | 2 | 0", "Time,Dose (g);09:10,18.1 | 1 | 0",
                "Date,Dose (g);14.05.2024,18.1 | 3 | 0", "Date,Dose (g);13.05.2024,18.1 | | 0",
                "Date,Time,Dose (g);13.05.2024,15:00,18.1 | | 1", "Pulled at,Dose (g);2024-05-14 09:05,18 | 3 | 0"})
        void aRowFindsItsShotByWhenItWasPulled(String table, Long shot, int created) throws ImportFailure {
            List<Candidate> shots = List.of(pulled(1, "2024-05-13T09:10"), pulled(2, "2024-05-13T09:22"),
                    pulled(3, "2024-05-14T09:05"));
            JoinedTable joined = JoinedTable.read("notebook.csv",
                    table.replace(';', '\n').getBytes(StandardCharsets.UTF_8));
            JoinedTable.Plan plan = joined.plan(joined.guessedKey(), shots);
            assertThat(plan.edits().stream().map(JoinedTable.Joined::shot).distinct())
                    .containsExactlyElementsOf(shot == null ? List.of() : List.of(shot));
            assertThat(plan.created()).hasSize(created);
        }

        private static Candidate pulled(long id, String at) {
            return new Candidate(id, (int) id, ShotRecord.EMPTY.with(RecordField.PULLED_AT, at));
        }

        private static ShotRecord ofCampaign(String name) {
            return ShotRecord.EMPTY.with(RecordField.FILE, "campaign.csv").with(RecordField.NAME, name);
        }

        private static ShotRecord joined(JoinedTable.Plan plan, long shot, ShotRecord before) {
            ShotRecord record = before;
            for (JoinedTable.Joined joined : plan.edits()) {
                record = joined.shot() == shot ? joined.edit().apply(record) : record;
            }
            return record;
        }

        @Test
        void impossibleCellsAreNamedAndLeftOut() throws ImportFailure {
            JoinedTable.Plan plan = plan("shot,dose_g,note\n1,heavy,fine\n\n2,18,ok\n", 0);
            assertThat(plan.refused()).singleElement()
                    .asString()
                    .startsWith("line 2, dose_g: “heavy” is not a number.");
            assertThat(plan.edits()).hasSize(3);
        }

        @Test
        void whatIsNoTableIsRefused() {
            assertThatThrownBy(() -> plan("just words\n", 0)).isInstanceOf(ImportFailure.class)
                    .hasMessageContaining("no table with a heading");
        }
    }

    @Test
    void theDemosShelfReadsBack() throws ImportFailure {
        String text = ShelfJson.write(DemoShelf.items());
        assertThat(ShelfJson.write(ShelfJson.read("shelf.json", text))).isEqualTo(text);
        assertThatThrownBy(() -> ShelfJson.read("shelf.json", text.replace("\"moisture_pct\"", "\"wetness\"")))
                .isInstanceOf(ImportFailure.class)
                .hasMessageContaining("There is no entry “wetness” of a coffee");
        assertThatThrownBy(() -> ShelfJson.read("shelf.json", "{\n\"format\": "))
                .hasMessageStartingWith("shelf.json, line 2");
    }
}
