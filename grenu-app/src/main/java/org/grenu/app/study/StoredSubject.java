package org.grenu.app.study;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.grenu.app.analysis.DerivedValues;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.Masses;
import org.grenu.core.record.ShotFilter;
import org.grenu.core.record.ShotRecord;
import org.grenu.library.ShotSummary;

/** A stored shot, whose log need not be read. Words and masses are made once, since every keystroke asks for them. */
public final class StoredSubject extends RecordSubject {

    private final ShotSummary shot;
    private final Supplier<DerivedValues.Derived> derived;
    private final TimeConvention convention;
    private final Supplier<String> findings;
    private String words;
    /** By name; concurrent since they are also made ahead, see {@link #prepare}. */
    private final Map<String, OptionalDouble> numbers = new ConcurrentHashMap<>(4);
    private final Map<String, Optional<String>> texts = new ConcurrentHashMap<>(4);

    /**
     * That shot.
     *
     * @param findings what rules find in it, in small letters
     */
    public StoredSubject(ShotSummary shot, Supplier<DerivedValues.Derived> derived, TimeConvention convention,
            Supplier<String> findings) {
        this.shot = shot;
        this.derived = derived;
        this.convention = convention;
        this.findings = findings;
    }

    /** {@return the filter for what was typed by a reader who sees all in those units} */
    public static ShotFilter filter(String typed, DisplayUnits shown) {
        return ShotFilter.parse(typed, units(shown));
    }

    /** {@return the search with units where they might be taken for others another day} */
    public static String search(String typed, DisplayUnits shown) {
        return ShotFilter.withUnits(typed, units(shown));
    }

    /** {@return the names by which a filter can ask, but for entries that the user made up} */
    public static Set<String> names() {
        return RecordSubject.names();
    }

    /** Makes what every keystroke asks for; another thread may do that, since each is made whole or not at all. */
    public void prepare() {
        words();
        derived.get();
    }

    @Override
    public String words() {
        if (words == null) {
            words = allWords();
        }
        return words;
    }

    @Override
    OptionalDouble entered(String name) {
        return numbers.computeIfAbsent(name, super::entered);
    }

    @Override
    Optional<String> enteredWords(String name) {
        return texts.computeIfAbsent(name, super::enteredWords);
    }

    @Override
    ShotRecord record() {
        return shot.record();
    }

    @Override
    Masses masses() {
        return derived.get().masses();
    }

    @Override
    Optional<Measured> extraction() {
        return derived.get().yield();
    }

    @Override
    OptionalDouble time() {
        return convention.of(shot.digest().times());
    }

    @Override
    OptionalDouble peakPressure() {
        return shot.digest().peakPressure();
    }

    @Override
    String called() {
        return Integer.toString(shot.number());
    }

    @Override
    String findings() {
        return findings.get();
    }
}
