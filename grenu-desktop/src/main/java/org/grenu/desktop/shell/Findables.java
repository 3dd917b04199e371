package org.grenu.desktop.shell;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.grenu.app.settings.StudySettings;
import org.grenu.app.study.ShotOrder;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Unit;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.action.Action;
import org.grenu.desktop.action.Actions;
import org.grenu.desktop.desk.Workspace;
import org.grenu.desktop.find.Hit;
import org.grenu.desktop.rack.SearchActions;
import org.grenu.library.ShotSummary;

/** What the find-or-do field finds on the bench. */
record Findables(Bench bench, Actions actions, SearchActions searches) {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    /** The rack's menu has them for the shots shown, the window for all. */
    private static final Set<String> SAID_ELSEWHERE = Set.of("edit-shown", "open-bin");

    List<Supplier<Stream<Hit>>> sources() {
        return List.of(this::doing, this::shots, this::shelf, this::settings);
    }

    private Stream<Hit> doing() {
        Stream<Action> now = Stream.of(new RecipeActions(bench).sections(), searches.sections())
                .flatMap(sections -> sections.stream().flatMap(List::stream))
                .filter(action -> !SAID_ELSEWHERE.contains(action.id()));
        return Stream.concat(actions.all().filter(action -> !action.id().equals("find-or-do")), now)
                .map(action -> new Hit("Do", action.label(), action.meaning(), action.keyText(), action.whyNot().get(),
                        action.run()));
    }

    private Stream<Hit> shots() {
        return ShotOrder.newestFirst(bench.desk().shots())
                .stream()
                .map(shot -> new Hit("Shot", "Shot " + shot.number(), beside(shot), () -> {
                    bench.workspace().set(Workspace.READ);
                    bench.desk().select(shot.id());
                }));
    }

    private static String beside(ShotSummary shot) {
        Stream<String> day = shot.record().pulledAt().map(DAY::format).stream();
        Stream<String> entries = Stream.of(RecordField.COFFEE, RecordField.PROFILE, RecordField.NOTE)
                .flatMap(field -> shot.record().text(field).stream());
        return Stream
                .concat(day,
                        Stream.concat(entries,
                                shot.record().entry(RecordField.GRIND).map(grind -> "grind " + grind).stream()))
                .collect(Collectors.joining(" · "));
    }

    private Stream<Hit> shelf() {
        return bench.desk()
                .shelfProperty()
                .get()
                .items()
                .stream()
                .map(item -> new Hit(kind(item), item.name(), "", () -> {
                    bench.workspace().set(Workspace.SHELF);
                    bench.shelf().choose(item);
                }));
    }

    private static String kind(ShelfItem item) {
        String one = item.kind().one();
        return one.substring(0, 1).toUpperCase(Locale.ROOT) + one.substring(1);
    }

    private Stream<Hit> settings() {
        StudySettings now = bench.desk().settingsProperty().get();
        Stream<Hit> times = Stream.of(TimeConvention.values())
                .map(convention -> new Hit("Setting", "Times: " + convention.title(),
                        convention == now.convention() ? "as it is" : "",
                        () -> bench.desk().choose(now.with(convention))));
        Stream<Hit> schools = schools(now);
        Stream<Hit> temperatures = DisplayUnits.TEMPERATURES.stream()
                .map(unit -> unit("Temperatures in ", unit, now, new DisplayUnits(unit, now.units().pressure())));
        Stream<Hit> pressures = DisplayUnits.PRESSURES.stream()
                .map(unit -> unit("Pressures in ", unit, now, new DisplayUnits(now.units().temperature(), unit)));
        return Stream.of(times, temperatures, pressures, schools).flatMap(hits -> hits);
    }

    private Stream<Hit> schools(StudySettings now) {
        return now.schools().all().stream().map(pack -> {
            boolean speaks = now.schools().speaks(pack);
            return new Hit("Setting", "School: " + pack.title(), speaks ? "speaks: silence it" : "silent: let it speak",
                    () -> bench.desk().choose(now.with(now.schools().with(pack, !speaks))));
        });
    }

    private Hit unit(String of, Unit unit, StudySettings now, DisplayUnits then) {
        return new Hit("Setting", of + unit.symbol(), then.equals(now.units()) ? "as it is" : "",
                () -> bench.desk().choose(now.with(now.display().in(then))));
    }
}
