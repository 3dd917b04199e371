package org.grenu.desktop.rack;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.collections.FXCollections;
import javafx.collections.ListChangeListener;
import javafx.collections.ObservableList;
import org.grenu.app.settings.StudySettings;
import org.grenu.app.study.StoredSubject;
import org.grenu.core.entry.NearName;
import org.grenu.core.extraction.TargetWindow;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotFilter;
import org.grenu.core.record.ShotRecord;
import org.grenu.desktop.desk.FindingSearch;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.Suggestions;
import org.grenu.library.ShotSummary;

/** The rack's rows for what is typed in the filter. */
public final class RackViewModel {

    private final StudyDesk desk;
    private final StringProperty filter = new SimpleStringProperty("");
    private final ReadOnlyStringWrapper count = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper hint = new ReadOnlyStringWrapper("");
    /** What was typed last that is whole; the rows go by it while more is being typed. */
    private String whole = "";
    private final ObservableList<RackRow> rows = FXCollections.observableArrayList();

    private final FindingSearch found;
    private final FilterOffers offers;
    private final RackOrder order;
    private final Runnable anew;

    /** The rack of that desk's shots, searched by what is found in them too. */
    public RackViewModel(StudyDesk desk, FindingSearch found) {
        this.desk = desk;
        this.found = found;
        this.offers = new FilterOffers(desk, found);
        order = new RackOrder(desk, found);
        desk.arrival().before(order::prepare);
        anew = desk.turns().of(this::anew);
        found.changesProperty().addListener((o, was, is) -> findingsChanged());
        desk.shots().addListener(this::shotsChanged);
        filter.addListener((o, was, is) -> typed(is));
        desk.settingsProperty().addListener((o, was, is) -> settingsChanged(was, is));
        rebuild();
    }

    /** A word that is only half typed keeps the rows as they were, and what may follow is said. */
    private void typed(String text) {
        Optional<String> follows = HalfTyped.in(text)
                .map(word -> strange(word.name().toLowerCase(Locale.ROOT), namesKnown())
                        .orElseGet(() -> offers.whatMayFollow(word)))
                .or(() -> begunName(text));
        hint.set(follows.orElse(""));
        if (follows.isEmpty()) {
            whole = text;
            rebuild();
        }
    }

    /** What may follow a word that no shot has, but that the name of something begins with. */
    private Optional<String> begunName(String text) {
        String offered = offers.namesThatBegin(text);
        if (offered.isEmpty()) {
            return Optional.empty();
        }
        ShotFilter wanted = StoredSubject.filter(text, desk.units().getValue());
        return order.shots().stream().anyMatch(shot -> wanted.matches(order.subject(shot))) ? Optional.empty()
                : Optional.of("Goes on: " + offered);
    }

    private void findingsChanged() {
        if (filter.get().contains("finding")) {
            rebuild();
        }
    }

    private void settingsChanged(StudySettings was, StudySettings is) {
        if (was.convention() != is.convention()) {
            order.countBy(is.convention());
            rebuild();
        } else if (!was.units().equals(is.units())) {
            rebuild();
        }
    }

    // Observables

    /** {@return what is typed in the filter} */
    public StringProperty filterProperty() {
        return filter;
    }

    /** {@return how many shots pass, in words} */
    public ReadOnlyStringProperty countProperty() {
        return count.getReadOnlyProperty();
    }

    /** {@return what may follow a word of the filter that is half typed; empty while it is whole} */
    public ReadOnlyStringProperty hintProperty() {
        return hint.getReadOnlyProperty();
    }

    /** {@return headings and slips, top to bottom} */
    public ObservableList<RackRow> rows() {
        return rows;
    }

    /** {@return why nothing can pass the filter, if it asks for what no shot has; else empty} */
    String misunderstood() {
        ShotFilter asked = StoredSubject.filter(filter.get(), desk.units().getValue());
        Set<String> names = namesKnown();
        return asked.names()
                .stream()
                .flatMap(name -> strange(name, names).stream())
                .findFirst()
                .orElseGet(() -> asked.unmeasured()
                        .stream()
                        .findFirst()
                        .map(token -> "“" + token + "” compares with no number.")
                        .orElse(""));
    }

    /** That nothing is called so, and what may have been meant. */
    private static Optional<String> strange(String name, Set<String> names) {
        return names.contains(name) ? Optional.empty()
                : Optional.of("No field is called “" + name + "”."
                        + NearName.of(name, names).map(near -> " Did you mean " + near + "?").orElse(""));
    }

    private ShotFilter asked() {
        return StoredSubject.filter(whole, desk.units().getValue());
    }

    private Set<String> namesKnown() {
        Set<String> names = StoredSubject.names();
        order.shots()
                .forEach(shot -> shot.record()
                        .extras()
                        .keySet()
                        .forEach(key -> names.add(key.replace(' ', '_').toLowerCase(Locale.ROOT))));
        return names;
    }

    /** {@return the row of the shot being read; −1 when it is not in the rack} */
    public int openRow() {
        long open = desk.openProperty().get() == null ? -1 : desk.openProperty().get().summary().id();
        for (int i = 0; i < rows.size(); i++) {
            if (rows.get(i) instanceof RackRow.Slip slip && slip.shot().id() == open) {
                return i;
            }
        }
        return -1;
    }

    // Actions

    /** Opens the shot. */
    public void open(ShotSummary shot) {
        desk.select(shot.id());
    }

    /** Opens the shot that many slips below the one asked for last, stopping at the ends: no key is lost. */
    public void step(int slips) {
        List<ShotSummary> shown = shown();
        int at = -1;
        for (int i = 0; i < shown.size(); i++) {
            at = shown.get(i).id() == desk.wanted() ? i : at;
        }
        if (!shown.isEmpty()) {
            desk.select(shown.get(Math.max(0, Math.min(shown.size() - 1, at < 0 ? 0 : at + slips))).id());
        }
    }

    /** Puts the shots into the bin; who was reading one of them reads its neighbour in the rack next. */
    public void bin(List<ShotSummary> binned) {
        Set<Long> gone = binned.stream().map(ShotSummary::id).collect(Collectors.toSet());
        if (gone.contains(desk.wanted())) {
            neighbour(gone).ifPresent(next -> desk.select(next.id()));
        }
        desk.inBin().put(binned);
    }

    /** The next below that stays, or else above. */
    private Optional<ShotSummary> neighbour(Set<Long> gone) {
        List<ShotSummary> shown = shown();
        int at = 0;
        while (at < shown.size() && shown.get(at).id() != desk.wanted()) {
            at++;
        }
        for (int below = at + 1; below < shown.size(); below++) {
            if (!gone.contains(shown.get(below).id())) {
                return Optional.of(shown.get(below));
            }
        }
        for (int above = Math.min(at, shown.size()) - 1; above >= 0; above--) {
            if (!gone.contains(shown.get(above).id())) {
                return Optional.of(shown.get(above));
            }
        }
        return Optional.empty();
    }

    /** {@return the shots that pass the filter, top to bottom} */
    public List<ShotSummary> shown() {
        return rows.stream()
                .filter(row -> row instanceof RackRow.Slip)
                .map(row -> ((RackRow.Slip) row).shot())
                .toList();
    }

    /** {@return what could be meant by what is typed} */
    List<Suggestions.Offer> offers(String typed) {
        return offers.of(typed);
    }

    /** {@return searches that the user kept, by name} */
    List<String> savedSearches() {
        return desk.settingsProperty().get().searches();
    }

    /** {@return what is typed as a search to keep: with units, since others may be shown another day} */
    String search() {
        return StoredSubject.search(filter.get().strip(), desk.units().getValue());
    }

    /** Keeps what is typed as a search, or forgets it when it is kept. */
    void saveSearch() {
        String query = search();
        if (!query.isEmpty()) {
            desk.choose(desk.settingsProperty().get().withSearch(query, !savedSearches().contains(query)));
        }
    }

    /**
     * {@return the search for shots of the open one's coffee on its grinder that came out within the usual windows;
     * empty while neither is known}
     */
    public Optional<String> whatWorked() {
        if (desk.openProperty().get() == null) {
            return Optional.empty();
        }
        ShotRecord record = desk.openProperty().get().summary().record();
        List<String> parts = new ArrayList<>();
        record.text(RecordField.COFFEE).ifPresent(coffee -> parts.add("coffee:" + FilterOffers.quoted(coffee)));
        record.text(RecordField.GRINDER).ifPresent(grinder -> parts.add("grinder:" + FilterOffers.quoted(grinder)));
        TargetWindow window = TargetWindow.USUAL;
        return parts.isEmpty() ? Optional.empty()
                : Optional.of(String.join(" ", parts) + " -is:faulty ey:" + DecimalText.exact(window.yieldLow()) + "-"
                        + DecimalText.exact(window.yieldHigh()) + " strength:" + DecimalText.exact(window.strengthLow())
                        + "-" + DecimalText.exact(window.strengthHigh()));
    }

    /**
     * An edited shot keeps its place unless it moved or no longer passes; so the rack does not jump under the
     * reader.
     */
    private void shotsChanged(ListChangeListener.Change<? extends ShotSummary> change) {
        boolean inPlace = true;
        while (change.next()) {
            inPlace &= change.wasReplaced() && change.getAddedSize() == 1
                    && replaced(change.getRemoved().get(0), change.getAddedSubList().get(0));
        }
        if (inPlace) {
            order.follow();
        } else {
            anew.run();
        }
    }

    private void anew() {
        Optional<List<RackRow>> prepared = order.follow();
        if (prepared.isPresent() && filter.get().isBlank()) {
            show(prepared.get());
            return;
        }
        if (prepared.isEmpty()) {
            order.warmUp();
        }
        rebuild();
    }

    private boolean replaced(ShotSummary was, ShotSummary is) {
        if (!was.record().pulledAt().equals(is.record().pulledAt()) || !passes(is)) {
            return false;
        }
        for (int i = 0; i < rows.size(); i++) {
            if (rows.get(i) instanceof RackRow.Slip slip && slip.shot().id() == is.id()) {
                rows.set(i, new RackRow.Slip(is));
                return true;
            }
        }
        return false;
    }

    private boolean passes(ShotSummary shot) {
        return asked().matches(order.subject(shot));
    }

    private void rebuild() {
        List<RackRow> built = order.rows(asked()::matches);
        if (rows.equals(built)) {
            tellCount();
        } else {
            show(built);
        }
    }

    private void show(List<RackRow> built) {
        rows.setAll(built);
        tellCount();
    }

    private void tellCount() {
        int all = desk.shots().size();
        long passing = rows.stream().filter(row -> row instanceof RackRow.Slip).count();
        count.set(passing == all ? all == 1 ? "1 shot" : all + " shots" : passing + " of " + all);
    }
}
