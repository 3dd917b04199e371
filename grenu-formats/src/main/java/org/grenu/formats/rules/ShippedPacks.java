package org.grenu.formats.rules;

import java.io.FileNotFoundException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.grenu.core.diagnosis.Diagnosis;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.diagnosis.ShotContext;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;

/** The packs that come with the program. Where practitioners disagree, each position is a pack of its own. */
public final class ShippedPacks {

    private static final List<
            RulePack> ALL = text("index.txt").lines().map(id -> RulePack.parse(text(id + ".rules"))).toList();
    private static final List<RulePack> CHOSEN = ALL.stream().filter(RulePack::chosen).toList();

    private ShippedPacks() {
    }

    /** {@return all of them, those of one topic together} */
    public static List<RulePack> all() {
        return ALL;
    }

    /** {@return those that speak unless the user chooses others} */
    public static List<RulePack> chosen() {
        return CHOSEN;
    }

    /** {@return what they say of a shot of which none before it is known} */
    public static List<Finding> findings(ShotRecord record, ShotMeasures measures) {
        return Diagnosis.of(new ShotContext(record, measures, Optional.empty()), CHOSEN);
    }

    private static String text(String file) {
        try (InputStream in = ShippedPacks.class.getResourceAsStream(file)) {
            if (in == null) {
                throw new FileNotFoundException("The rules file " + file + " is missing from the application.");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }
}
