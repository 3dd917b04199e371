package org.grenu.core.recipe;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;

/**
 * What to begin a coffee with on a set-up: this library's own shots first, then the schools that speak, then common
 * practice, each named.
 *
 * @param entries  of a recipe
 * @param warnings what does not go together, with the nearest that does
 */
public record StartRecipe(List<Proposed> entries, List<String> warnings) {

    public StartRecipe {
        entries = List.copyOf(entries);
        warnings = List.copyOf(warnings);
    }

    /**
     * What is asked.
     *
     * @param setUp    what is known of coffee, grinder, basket, machine, water and site, as a shot would have it
     * @param shots    of the library
     * @param speaking the schools that the user lets speak
     * @param all      every school
     * @param kept     windows of the user's other recipes, the newest first
     */
    public record Asked(ShotRecord setUp, List<MeasuredShot> shots, List<RulePack> speaking, List<RulePack> all,
            List<KeptWindows> kept) {

        public Asked {
            shots = List.copyOf(shots);
            speaking = List.copyOf(speaking);
            all = List.copyOf(all);
            kept = List.copyOf(kept);
        }

        /** The coffee's own recipe goes before others of its style. */
        Optional<KeptWindows> windows() {
            return kept.stream()
                    .filter(one -> one.fits(setUp))
                    .max(Comparator.comparing(one -> one.sameCoffee(setUp)));
        }
    }

    /** {@return what to begin with} */
    public static StartRecipe of(Asked asked) {
        return new StartSearch(asked).found();
    }

    /** {@return the proposal for that entry} */
    public Optional<Proposed> of(Field field) {
        return entries.stream().filter(entry -> entry.field() == field).findFirst();
    }

    /** {@return all that is proposed, as the entries of a recipe} */
    public Entries card() {
        Entries card = Entries.NONE;
        for (Proposed entry : entries) {
            card = card.with(entry.field(), entry.value());
        }
        return card;
    }
}
