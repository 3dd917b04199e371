package org.grenu.bench.campaign;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.demo.DemoShelf;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.diagnosis.RulePackError;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.numbers.Samples;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ShelfJson;
import org.grenu.formats.ShotCsvWriter;
import org.grenu.formats.ShotJsonWriter;
import org.grenu.formats.ShotReader;
import org.grenu.formats.exchange.ArchiveTarget;
import org.grenu.formats.exchange.ArchivedChange;
import org.grenu.formats.exchange.ArchivedShot;
import org.grenu.formats.exchange.DataPackageReader;
import org.grenu.formats.exchange.DataPackageWriter;
import org.grenu.formats.exchange.JoinedTable;
import org.grenu.formats.mapping.MappedReader;
import org.grenu.formats.mapping.MappingGuess;
import org.grenu.formats.mapping.MappingJson;
import org.grenu.library.Library;

/**
 * Gives every reader mutated files: {@code MutationCampaign INPUTS SEED}. A reader may take a file or refuse it in
 * words;
 * anything else it throws, and anything that takes it two seconds, is a fault. Inputs that a reader took in a way not
 * seen
 * before (by the words of its refusal, or by how much it read) are kept and mutated further.
 */
public final class MutationCampaign {

    private static final long TOO_LONG_NANOS = 2_000_000_000L;
    private static final int MOST_KEPT = 400;
    private final Random random;
    private final Mutation mutation;
    private final Path scratch;
    private final Map<String, Target> targets = new LinkedHashMap<>();
    private final List<String> faults = new ArrayList<>();

    private MutationCampaign(long seed) throws IOException {
        this.random = new Random(seed);
        this.mutation = new Mutation(random);
        this.scratch = Files.createTempDirectory("grenu-mutated");
        seeds();
    }

    private interface Reader {
        /** Reads, and says how it came out in a word that tells ways apart. */
        Object read(byte[] bytes) throws Exception;
    }

    /** A reader with the inputs that are mutated for it. */
    private static final class Target {
        private final Reader reader;
        private final int share;
        private final List<byte[]> kept = new ArrayList<>();
        private final Set<String> seen = new HashSet<>();
        private long inputs;
        private long taken;
        private long longest;

        Target(Reader reader, int share, byte[]... seeds) {
            this.reader = reader;
            this.share = share;
            kept.addAll(List.of(seeds));
        }
    }

    /** Runs the campaign and prints what it found. */
    public static void main(String[] arguments) throws IOException {
        long inputs = Long.parseLong(arguments[0]);
        MutationCampaign campaign = new MutationCampaign(Long.parseLong(arguments[1]));
        campaign.run(inputs);
        System.out.println("Inputs: " + inputs + ", seed " + arguments[1] + ", heap "
                + Runtime.getRuntime().maxMemory() / 1024 / 1024 + " MB");
        campaign.targets.forEach(
                (name, target) -> System.out.printf("  %-16s %8d inputs, %7d taken, %4d ways seen, longest %4d ms%n",
                        name, target.inputs, target.taken, target.seen.size(),
                        target.longest / 1_000_000));
        System.out.println(campaign.faults.isEmpty() ? "No uncaught exception, nothing over two seconds."
                : String.join("\n", campaign.faults));
    }

    private static Shot small() {
        Shot demo = DemoStudy.shots().get(4).shot();
        double[] time = new double[24];
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        for (int i = 0; i < time.length; i++) {
            time[i] = i * 1.3;
        }
        for (Channel channel : demo.log().channels().keySet()) {
            double[] values = new double[time.length];
            for (int i = 0; i < time.length; i++) {
                values[i] = demo.log().channels().get(channel).get(i * 12);
            }
            channels.put(channel, Samples.of(values));
        }
        return new Shot(demo.record(), new ShotLog(Samples.of(time), channels));
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private void seeds() throws IOException {
        Shot shot = small();
        byte[] csv = bytes(ShotCsvWriter.write(shot));
        byte[] foreign = bytes(
                "Time (ms)\tPress. bar\tGewicht g\tTemp\n0\t0,1\t0,0\t92,5\n500\t3,2\t0,1\t92,7\n"
                        + "1000\t8,9\t0,9\t93,0\n1500\t9,0\t2,2\t93,1\n2000\t9,0\t4,1\t93,1\n");
        byte[] json = bytes(ShotJsonWriter.write(shot));
        byte[] other = bytes(
                "{\"meta\":{\"id\":7},\"samples\":[{\"t\":0,\"p\":1.5,\"w\":0},{\"t\":0.5,\"p\":3.5,\"w\":0.2},"
                        + "{\"t\":1.0,\"p\":9,\"w\":1.4}]}");
        targets.put("shot csv", new Target(this::shot, 10, csv, foreign));
        targets.put("shot json", new Target(this::shot, 10, json, other));
        targets.put("shot xlsx", new Target(this::shot, 4, sheet()));
        targets.put("mapped log", new Target(this::mapped, 10, foreign, other, csv));
        targets.put("joined table", new Target(b -> JoinedTable.read("t.csv", b).lines().size() > 0, 8,
                bytes("shot;dose [g];taste\n1;18,1;sour\n2;18.0;\"sweet; dry\"\n")));
        targets.put("mapping", new Target(b -> MappingJson.read("m.json", text(b)).columns().size(), 8,
                bytes(MappingJson.write(guess(foreign))), bytes(MappingJson.write(guess(other)))));
        targets.put("shelf", new Target(b -> ShelfJson.read("s.json", text(b)).size(), 4,
                bytes(ShelfJson.write(DemoShelf.items().subList(0, 6)))));
        targets.put("rules", new Target(b -> RulePack.parse(text(b)).rules().size(), 8,
                bytes("pack own\ntitle Own\nrule late\nseverity check\nsure 0.9\nwhen shot_time_s > 30\n"
                        + "say It took {shot_time_s} s.\nbecause {dose_g} g\nat pump_off_s\ntry Coarser.\nnext Grind "
                        + "coarser\n")));
        targets.put("entries",
                new Target(this::entries, 10, bytes("18.5"), bytes("9.4; 9.42@35/24.1/24/filtered"),
                        bytes("soak: pressure 2.4 ±0.4 until 2 s after drip or 25 s; main: pressure 9 over 3 s"),
                        bytes("wetting 0; soak 4.25"), bytes("2026-05-14T10:31")));
        targets.put("package", new Target(this::packaged, 1, packageBytes()));
    }

    private static org.grenu.formats.mapping.TableMapping guess(byte[] bytes) {
        try {
            return MappingGuess.of("x", new String(bytes, StandardCharsets.UTF_8)).mapping();
        } catch (ImportFailure impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static String text(byte[] bytes) {
        return new String(bytes, StandardCharsets.UTF_8);
    }

    private static byte[] sheet() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "x", "1.0")) {
            Worksheet sheet = book.newWorksheet("s");
            sheet.value(0, 0, "time [s]");
            sheet.value(0, 1, "pressure [bar]");
            for (int i = 1; i < 12; i++) {
                sheet.value(i, 0, i * 0.5);
                sheet.value(i, 1, 9.0);
            }
        }
        return out.toByteArray();
    }

    private byte[] packageBytes() throws IOException {
        Path file = scratch.resolve("library.sqlite");
        try (Library library = Library.open(file)) {
            library.write(tx -> tx.shots().add("a.csv", new byte[] {1}, small()));
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            DataPackageWriter
                    .write(new org.grenu.app.exchange.LibraryArchive(library, library.read(tx -> tx.shots().all()),
                            number -> {}), out);
            return out.toByteArray();
        }
    }

    private Object shot(byte[] bytes) throws Exception {
        Shot shot = ShotReader.read("f", bytes).shot();
        ShotMeasures.of(shot);
        return shot.log().size() + "/" + shot.log().channels().size();
    }

    private Object mapped(byte[] bytes) throws Exception {
        MappingGuess guess = MappingGuess.of("f", ShotReader.text("f", bytes));
        return MappedReader.read("f", bytes, guess.mapping()).size();
    }

    private Object entries(byte[] bytes) {
        int taken = 0;
        for (RecordField field : RecordField.values()) {
            try {
                ShotRecord.EMPTY.with(field, text(bytes));
                taken++;
            } catch (RefusedEntry refused) {
                // In words, as it should be.
            }
        }
        return taken;
    }

    private Object packaged(byte[] bytes) throws Exception {
        Path file = Files.createTempFile(scratch, "package", ".zip");
        try {
            Files.write(file, bytes);
            return shotsIn(file);
        } finally {
            Files.delete(file);
        }
    }

    private static int shotsIn(Path file) throws Exception {
        int[] shots = {0};
        DataPackageReader.read(file, new ArchiveTarget() {
            @Override
            public void shelf(List<ShelfItem> items) {
                // Reading it is the check.
            }

            @Override
            public void shot(ArchivedShot shot) {
                shots[0]++;
            }

            @Override
            public void history(List<ArchivedChange> changes) {
                // Reading it is the check.
            }
        });
        return shots[0];
    }

    private void run(long inputs) {
        List<String> turns = new ArrayList<>();
        targets.forEach((name, target) -> {
            for (int i = 0; i < target.share; i++) {
                turns.add(name);
            }
        });
        for (long i = 0; i < inputs; i++) {
            String name = turns.get((int) (i % turns.size()));
            one(name, targets.get(name));
            if (i % 100_000 == 99_999) {
                System.out.println(i + 1 + " inputs, " + faults.size() + " faults");
            }
        }
    }

    private void one(String name, Target target) {
        byte[] input = mutation.of(target.kept.get(random.nextInt(target.kept.size())), target.kept);
        String way;
        long began = System.nanoTime();
        try {
            way = "taken " + target.reader.read(input);
            target.taken++;
        } catch (ImportFailure | RulePackError | RefusedEntry refused) {
            way = String.valueOf(refused.getMessage()).replaceAll("[0-9]+", "0").replaceAll("“[^”]*”", "“”");
            if (way.contains("could not be understood")) {
                fault(name + " met " + refused.getMessage(), input);
            }
        } catch (Throwable thrown) {
            way = thrown.toString();
            fault(name + " threw " + thrown, input);
        }
        long took = System.nanoTime() - began;
        target.inputs++;
        target.longest = Math.max(target.longest, took);
        if (took > TOO_LONG_NANOS && again(target, input) > TOO_LONG_NANOS) {
            fault(name + " took " + took / 1_000_000 + " ms", input);
        }
        if (target.seen.add(way.length() > 120 ? way.substring(0, 120) : way) && target.kept.size() < MOST_KEPT
                && input.length < 60_000) {
            target.kept.add(input);
        }
    }

    /** How long it takes once more: a busy machine is slow once, a bad input each time. */
    private static long again(Target target, byte[] input) {
        long began = System.nanoTime();
        try {
            target.reader.read(input);
        } catch (Throwable told) {
            // What it says was heard the first time.
        }
        return System.nanoTime() - began;
    }

    private void fault(String words, byte[] input) {
        if (faults.size() < 40) {
            try {
                Path kept = Files.write(scratch.resolve("fault-" + faults.size()), input,
                        StandardOpenOption.CREATE_NEW);
                faults.add(words + " (" + kept + ")");
            } catch (IOException unwritten) {
                faults.add(words);
            }
        }
    }
}
