package org.grenu.bench.campaign;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.grenu.core.record.Shot;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.exchange.ArchiveTarget;
import org.grenu.formats.exchange.ArchivedChange;
import org.grenu.formats.exchange.ArchivedShot;
import org.grenu.formats.exchange.DataPackageReader;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.library.Library;

/**
 * Kills a process that works on a library, at any moment of any operation, and looks what is left: {@code
 * KillCampaign KILLS SEED}.
 * The library must hold what it held before the operation under way, or what it was to hold after it; files that were
 * said to
 * be written must be whole; nothing unfinished may stay behind once the next process has worked.
 */
public final class KillCampaign {

    private static final int OLD_SHOTS = 30;
    private static final int FRESH_EVERY = 25;
    private static final int LONGEST_MILLIS = 1000;

    private final Path folder;
    private final Random random;
    private final Map<String, Integer> killedIn = new TreeMap<>();
    private final List<String> faults = new ArrayList<>();

    private KillCampaign(Path folder, Random random) {
        this.folder = folder;
        this.random = random;
    }

    /** Runs the campaign and prints what it found. */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        int kills = Integer.parseInt(arguments[0]);
        long seed = Long.parseLong(arguments[1]);
        KillCampaign campaign = new KillCampaign(Files.createTempDirectory("grenu-kills"), new Random(seed));
        campaign.prepare();
        for (int kill = 0; kill < kills; kill++) {
            campaign.kill(kill, seed * 1_000_003 + kill);
            if (kill % 50 == 49) {
                System.out
                        .println(kill + 1 + " kills, " + campaign.faults.size() + " faults" + (campaign.faults.isEmpty()
                                ? "" : ", the last: " + campaign.faults.get(campaign.faults.size() - 1)));
            }
        }
        System.out.println("Kills: " + kills + ", seed " + seed + "; while: " + campaign.killedIn);
        System.out.println(
                campaign.faults.isEmpty() ? "Nothing lost, nothing half done." : String.join("\n", campaign.faults));
    }

    private void prepare() throws IOException {
        try (Library other = Library.open(folder.resolve(LibraryWorker.OTHER))) {
            for (int i = 0; i < LibraryWorker.OTHER_SHOTS; i++) {
                Shot shot = CampaignShots.shot(LibraryState.OTHERS + i);
                other.write(tx -> tx.shots().add("other.csv", new byte[LibraryWorker.RAW_BYTES], shot));
            }
        }
    }

    /** A library of the first version, to be brought up to date. */
    private void old() throws IOException {
        Path file = folder.resolve(LibraryWorker.OLD);
        try (Stream<Path> beside = Files.list(folder)) {
            for (Path one : beside.filter(path -> path.getFileName().toString().contains(LibraryWorker.OLD)).toList()) {
                Files.delete(one);
            }
        }
        Flyway.configure()
                .dataSource("jdbc:sqlite:" + file, "", "")
                .locations("classpath:org/grenu/library/migration")
                .target("1")
                .load()
                .migrate();
        try (var connection = java.sql.DriverManager.getConnection("jdbc:sqlite:" + file);
                var statement = connection.createStatement()) {
            statement.execute("INSERT INTO raw_file VALUES (1, 'old.csv', 'x', x'00', '2026-01-01')");
            for (int i = 1; i <= OLD_SHOTS; i++) {
                statement.execute("INSERT INTO shot (number, raw_file_id, log_digest, imported_at, dose_g) VALUES (" + i
                        + ", 1, 'd" + i + "', '2026-01-01', 18.5)");
            }
        } catch (java.sql.SQLException failed) {
            throw new IOException(failed);
        }
    }

    private void kill(int kill, long seed) throws IOException, InterruptedException {
        if (kill % 10 == 0) {
            old();
        }
        if (kill % FRESH_EVERY == 0) {
            clear();
        }
        Path java = Path.of(System.getProperty("java.home"), "bin", "java");
        Process worker = new ProcessBuilder(java.toString(), "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-cp",
                System.getProperty("java.class.path"), LibraryWorker.class.getName(),
                folder.toString(), Long.toString(seed)).redirectError(ProcessBuilder.Redirect.DISCARD).start();
        List<String> said = new ArrayList<>();
        Thread reader = new Thread(() -> read(worker, said));
        reader.start();
        for (long waited = 0; waited < 20_000 && said.isEmpty() && worker.isAlive(); waited++) {
            Thread.sleep(1);
        }
        Thread.sleep(random.nextInt(LONGEST_MILLIS));
        worker.destroyForcibly().waitFor();
        reader.join();
        look(kill, List.copyOf(said));
    }

    /** So that it does not grow without end: a new library, and no files of the last. */
    private void clear() throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            for (Path one : all.filter(path -> path.getFileName().toString().matches("out-.*|library\\.sqlite.*"))
                    .toList()) {
                Files.delete(one);
            }
        }
    }

    private static void read(Process worker, List<String> said) {
        try (BufferedReader lines = worker.inputReader(StandardCharsets.UTF_8)) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                said.add(line);
            }
        } catch (IOException killed) {
            // The pipe breaks with the process; what was read until then counts.
        }
    }

    private void look(int kill, List<String> said) {
        boolean done = said.isEmpty() || said.get(said.size() - 1).equals("done");
        String[] last = said.stream()
                .filter(line -> line.startsWith("start ") && line.split(" ").length == 4)
                .reduce((a, b) -> b)
                .map(line -> line.split(" "))
                .orElse(null);
        killedIn.merge(last == null ? "starting" : done ? "between" : last[1].replaceAll(":.*", ""), 1, Integer::sum);
        try {
            if (last != null && !last[2].equals("-")) {
                try (Library library = Library.open(folder.resolve("library.sqlite"))) {
                    LibraryState found = LibraryState.of(library);
                    boolean sound = found.equals(LibraryState.parse(last[3]))
                            || !done && found.equals(LibraryState.parse(last[2]));
                    if (!sound) {
                        faults.add("kill " + kill + " in " + last[1] + (done ? " (done)" : "") + ": found "
                                + found.text() + ", before " + last[2] + ", after " + last[3]);
                    }
                }
            }
            files(said);
            if (last != null && last[1].equals("migrate") || said.size() == 1 && said.get(0).contains("migrate")) {
                oldIsWhole(kill);
            }
            nothingIsLeft(kill);
        } catch (RuntimeException | IOException | ImportFailure broken) {
            faults.add("kill " + kill + (last == null ? "" : " in " + last[1]) + ": " + broken);
        }
    }

    /** The library was opened since, which clears away what the dead process left. */
    private void nothingIsLeft(int kill) throws IOException {
        Library.open(folder.resolve("library.sqlite")).close();
        try (Stream<Path> all = Files.list(folder)) {
            all.map(path -> path.getFileName().toString())
                    .filter(name -> name.contains(".part"))
                    .forEach(name -> faults.add("kill " + kill + " left " + name));
        }
    }

    private void oldIsWhole(int kill) throws IOException {
        Path file = folder.resolve(LibraryWorker.OLD);
        Library.open(file).close();
        try (var connection = java.sql.DriverManager.getConnection("jdbc:sqlite:" + file);
                var found = connection.createStatement().executeQuery("SELECT count(*) FROM shot")) {
            if (!found.next() || found.getInt(1) != OLD_SHOTS) {
                faults.add("kill " + kill + ": the library that was brought up to date holds " + found.getInt(1)
                        + " shots of " + OLD_SHOTS);
            }
        } catch (java.sql.SQLException failed) {
            throw new IOException(failed);
        }
    }

    /** Every file that was said to be written, and no file under a finished name that is not whole. */
    private void files(List<String> said) throws IOException, ImportFailure {
        for (int i = 0; i < said.size(); i++) {
            String[] words = said.get(i).split(" ");
            if (words.length > 1 && words[1].contains(":")) {
                Path file = folder.resolve(words[1].substring(words[1].indexOf(':') + 1));
                boolean finished = i + 1 < said.size() && said.get(i + 1).equals("done");
                if (Files.exists(file)) {
                    whole(file);
                } else if (finished) {
                    faults.add(file + " was said to be written and is not there");
                }
                Files.deleteIfExists(file);
            }
        }
    }

    private void whole(Path file) throws ImportFailure {
        if (file.toString().endsWith(".backup")) {
            try (Library copy = Library.openForReading(file, folder.resolve("scratch"))) {
                LibraryState.of(copy);
            }
        } else {
            DataPackageReader.read(file, new ArchiveTarget() {
                @Override
                public void shelf(List<ShelfItem> items) {
                    // Reading it is the check.
                }

                @Override
                public void shot(ArchivedShot shot) {
                    // Reading it is the check.
                }

                @Override
                public void history(List<ArchivedChange> changes) {
                    // Reading it is the check.
                }
            });
        }
    }
}
