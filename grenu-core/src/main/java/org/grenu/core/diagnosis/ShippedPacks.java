package org.grenu.core.diagnosis;

import java.util.List;
import java.util.stream.Stream;

/** The packs that come with the program. Where practitioners disagree, each position is a pack of its own. */
public final class ShippedPacks {

    private static final List<RulePack> ALL = Stream.of(List.of(CommonPractice.TEXT), CupSchools.TEXTS, TimeSchools.TEXTS, GearSchools.TEXTS)
            .flatMap(List::stream).map(RulePack::parse).toList();
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
}
