package org.grenu.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import org.grenu.core.puck.Puck;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.puck.SimulatedCoffee;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.rig.LogFlaw;
import org.grenu.core.rig.RigRecipe;
import org.grenu.core.rig.SimulatedRig;
import org.grenu.core.rig.SimulatedShot;
import org.grenu.formats.ShotCsvWriter;
import org.grenu.library.AtomicFile;

/** Writes a folder of simulated shots of 600 samples each, to measure imports with. */
public final class LargeStudy {

    private LargeStudy() {
    }

    /** Arguments: the folder and the number of shots. */
    public static void main(String[] arguments) throws IOException {
        Path folder = Files.createDirectories(Path.of(arguments[0]));
        int shots = Integer.parseInt(arguments[1]);
        for (int i = 0; i < shots; i++) {
            Shot shot = shot(i, i % 9 == 4 ? List.of(LogFlaw.KNOCKED_SCALE) : List.of());
            byte[] text = ShotCsvWriter.write(shot).getBytes(StandardCharsets.UTF_8);
            AtomicFile.create(folder.resolve(String.format(Locale.ROOT, "large-%05d.csv", i)), out -> out.write(text));
        }
        System.out.println(shots + " shots of " + shot(0, List.of()).log().size() + " samples in " + folder);
    }

    /** {@return a shot that runs into the time limit at 55.5 s, logged for 60 s} */
    static Shot shot(int seed, List<LogFlaw> flaws) {
        DemoProfile profile = DemoProfile.values()[seed % 2];
        SimulatedShot pulled = new SimulatedRig(seed)
                .pull(new RigRecipe(new Puck(SimulatedCoffee.REFERENCE, 14, 18, 1.8 + 0.1 * (seed % 3), 92 + seed % 3),
                        profile.profile(), 400, 54.42), flaws);
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.DOSE, "18")
                .with(RecordField.GRIND, 1.8 + 0.1 * (seed % 3))
                .with(RecordField.PROFILE, profile.title())
                .with(RecordField.PROFILE_STEPS, profile.profile().text())
                .with(RecordField.TEMPERATURE, 92 + seed % 3)
                .with(RecordField.SIMULATED, "yes")
                .with(RecordField.PULLED_AT, LocalDateTime.of(2026, 1, 5, 9, 0).plusHours(3L * seed).toString())
                .with(RecordField.READINGS,
                        pulled.readings().stream().map(String::valueOf).reduce((a, b) -> a + ";" + b).orElse(""));
        return new Shot(record, pulled.log());
    }
}
