package org.grenu.app.settings;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.diagnosis.RulePackError;
import org.grenu.formats.rules.ShippedPacks;

/**
 * The schools of a library: those that come with the program, as they were shipped or edited here, and those written
 * here.
 *
 * @param speaking those that speak, by id
 * @param texts    of those edited or written here, by id
 */
public record Schools(List<String> speaking, Map<String, String> texts) {

    /** Nothing chosen yet. */
    public static final Schools USUAL = new Schools(ShippedPacks.chosen().stream().map(RulePack::id).toList(),
            Map.of());

    /** What a school of one's own begins as: it can be kept so, and shows every sort of line. */
    private static final String BEGUN = """
            pack %s
            topic Sour
            title our own way
            chosen yes

            # Lines that begin so are remarks. A rule speaks when all its conditions hold.
            rule sour
            severity note
            when taste_under > 0
            say The cup was sour.
            because the note calls it sour
            try Grind finer.
            next Grind one notch finer
            moves grind 1

            # What a new coffee begins with: dose_g, basket_share, ratio, temperature_c, time_s, yield_pct, ...
            start ratio
            when roast_light > 0
            take 2.2
            because light roasts want more water
            """;

    public Schools {
        speaking = List.copyOf(speaking);
        texts = Map.copyOf(texts);
    }

    /** {@return all of them as they are written now: those shipped, in their order, then those written here} */
    public List<RulePack> all() {
        return Stream.concat(ShippedPacks.all().stream().map(this::asWritten), own().stream()).toList();
    }

    /** {@return those that speak} */
    public List<RulePack> spoken() {
        return all().stream().filter(this::speaks).toList();
    }

    /** {@return whether that one speaks} */
    public boolean speaks(RulePack pack) {
        return speaking.contains(pack.id());
    }

    /** {@return those written here} */
    public List<RulePack> own() {
        return texts.entrySet()
                .stream()
                .filter(entry -> shipped(entry.getKey()).isEmpty())
                .flatMap(entry -> understood(entry.getKey(), entry.getValue()).stream())
                .sorted(Comparator.comparing(RulePack::topic).thenComparing(RulePack::id))
                .toList();
    }

    /** {@return the school as it was shipped; empty for one written here} */
    public static Optional<RulePack> shipped(String id) {
        return ShippedPacks.all().stream().filter(pack -> pack.id().equals(id)).findFirst();
    }

    /** {@return whether it came with the program and was edited here} */
    public boolean edited(RulePack pack) {
        return texts.containsKey(pack.id()) && shipped(pack.id()).isPresent();
    }

    private RulePack asWritten(RulePack shipped) {
        return Optional.ofNullable(texts.get(shipped.id()))
                .flatMap(text -> understood(shipped.id(), text))
                .orElse(shipped);
    }

    /** What another version wrote may not be understood here; it is kept, and passed over. */
    private static Optional<RulePack> understood(String id, String text) {
        try {
            return Optional.of(RulePack.parse(text)).filter(pack -> pack.id().equals(id));
        } catch (RulePackError fromAnotherVersion) {
            return Optional.empty();
        }
    }

    /** {@return these with a school that speaks or is silent} */
    public Schools with(RulePack pack, boolean speaks) {
        List<String> chosen = new ArrayList<>(speaking);
        chosen.remove(pack.id());
        if (speaks) {
            chosen.add(pack.id());
        }
        return new Schools(chosen, texts);
    }

    /**
     * {@return these with a school as it was edited; a blank text, or the one shipped, takes the edits back}
     *
     * @throws RulePackError if the text cannot be understood, or is that of another school
     */
    public Schools edited(RulePack pack, String text) {
        boolean back = text.isBlank()
                || shipped(pack.id()).filter(as -> as.text().strip().equals(text.strip())).isPresent();
        if (!back && !RulePack.parse(text).id().equals(pack.id())) {
            throw new RulePackError(1, "the short name of this school is “" + pack.id() + "” and stays; write another "
                    + "school for another name.");
        }
        Map<String, String> others = new TreeMap<>(texts);
        others.remove(pack.id());
        if (!back) {
            others.put(pack.id(), text);
        }
        return new Schools(speaking, others);
    }

    /**
     * {@return these with one more, written here; it speaks when it says “chosen yes”}
     *
     * @throws RulePackError if the text cannot be understood, or its short name is taken
     */
    public Schools added(String text) {
        RulePack pack = RulePack.parse(text);
        if (taken(pack.id())) {
            throw new RulePackError(1, "there is a school “" + pack.id() + "” already; choose another short name.");
        }
        Map<String, String> others = new TreeMap<>(texts);
        others.put(pack.id(), text);
        return new Schools(speaking, others).with(pack, pack.chosen());
    }

    /** {@return these without a school that was written here} */
    public Schools without(RulePack own) {
        Map<String, String> others = new TreeMap<>(texts);
        others.remove(own.id());
        return new Schools(speaking, others).with(own, false);
    }

    /** {@return the text that a school of one's own begins with, under a short name that is free} */
    public String begun() {
        return BEGUN.formatted(
                Stream.iterate(1, n -> n + 1).map(n -> "own_" + n).filter(id -> !taken(id)).findFirst().orElseThrow());
    }

    private boolean taken(String id) {
        return texts.containsKey(id) || shipped(id).isPresent();
    }
}
