package org.grenu.desktop.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.grenu.app.advice.Advisor;
import org.grenu.app.advice.Causes;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.app.advice.LadderLine;
import org.grenu.app.advice.LeverTable;
import org.grenu.app.analysis.ShotAnalyses;
import org.grenu.app.settings.StudySettings;
import org.grenu.core.diagnosis.RestWindow;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.figures.plan.LearntCurve;
import org.grenu.figures.shelf.BagFigure;
import org.grenu.figures.shelf.ShelfFigures;
import org.grenu.figures.shelf.ShelfShot;
import org.grenu.library.ShotSummary;

/**
 * A coffee that is asked about, with all that the answer rests on: answered off the interface's thread.
 *
 * @param shots of the library, in the order of their numbers
 * @param today the day it is
 */
record DialInQuestion(String coffee, List<ShotSummary> shots, Shelf shelf, StudySettings settings, LocalDate today) {

    DialInAnswer answered(ShotAnalyses analyses) {
        Advisor advisor = new Advisor(shots, shot -> analyses.of(shot).measured(), shelf, settings);
        Advisor.Answer answer = advisor.ask(new Advisor.Question(coffee));
        if (answer.outcome() instanceof CoffeeAdvice.Given given) {
            return new DialInAnswer(coffee, answer.target(), answer.outcome(),
                    LadderLine.of(given.advice(), settings.units()),
                    LearntCurve.all(given.advice().advice(), answer.target().aim(), given.advice().time().response()),
                    Causes.of(given.advice()), advisor.schools(given.advice()), LeverTable.of(given.advice()),
                    bag(advisor), settings.units());
        }
        return new DialInAnswer(coffee, answer.target(), answer.outcome(), List.of(), List.of(), Optional.empty(),
                Optional.empty(), new LeverTable(List.of()), bag(advisor), settings.units());
    }

    private Optional<BagFigure> bag(Advisor advisor) {
        Optional<ShelfItem> bag = shelf.find(ShelfKind.BAG, advisor.newest(coffee, RecordField.BAG))
                .or(() -> shelf.of(ShelfKind.BAG)
                        .stream()
                        .filter(item -> item.entries()
                                .text(ShelfField.BAG_COFFEE)
                                .map(name -> name.toLowerCase(Locale.ROOT))
                                .filter(coffee.toLowerCase(Locale.ROOT)::equals)
                                .isPresent())
                        .reduce((first, second) -> second));
        Optional<RestWindow> rest = settings.packs().stream().flatMap(pack -> RestWindow.of(pack).stream()).findFirst();
        return bag.map(item -> (BagFigure) new ShelfFigures(
                shots.stream().map(shot -> new ShelfShot(shot.number(), shot.record())).toList(), rest, today,
                settings.units()).of(item, item.newest()));
    }
}
