package org.grenu.desktop.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.app.advice.Causes;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.app.advice.LadderLine;
import org.grenu.app.advice.LeverTable;
import org.grenu.app.advice.SchoolAnswers;
import org.grenu.app.advice.TargetRecipe;
import org.grenu.app.analysis.ShotAnalyses;
import org.grenu.app.analysis.ShotAnalysis;
import org.grenu.app.settings.StudySettings;
import org.grenu.core.diagnosis.RestWindow;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
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

    /** So many of the newest shots on a grinder are learnt from: older ones tell little that they do not. */
    private static final int MOST = 400;

    DialInAnswer answered(ShotAnalyses analyses) {
        String grinder = newest(RecordField.GRINDER);
        TargetRecipe target = TargetRecipe.of(shelf, coffee, grinder, settings.packs());
        List<MeasuredShot> measured = learntFrom(grinder).stream()
                .map(analyses::of)
                .map(ShotAnalysis::measured)
                .toList();
        CoffeeAdvice.Outcome outcome = CoffeeAdvice.of(measured, shelf, new CoffeeAdvice.Asked(coffee, grinder,
                target.aim(), OptionalDouble.empty(), settings.convention(), StandardResponse.tasted()));
        if (outcome instanceof CoffeeAdvice.Given given) {
            return new DialInAnswer(coffee, target, outcome, LadderLine.of(given.advice(), settings.units()),
                    LearntCurve.all(given.advice().advice(), target.aim(), given.advice().time().response()),
                    Causes.of(given.advice()),
                    SchoolAnswers.of(given.advice(), settings.schools().all(),
                            expected()),
                    LeverTable.of(given.advice()), bag(), settings.units());
        }
        return new DialInAnswer(coffee, target, outcome, List.of(), List.of(), Optional.empty(), Optional.empty(),
                new LeverTable(List.of()), bag(), settings.units());
    }

    private String newest(RecordField field) {
        return shots.stream()
                .filter(shot -> isOf(shot))
                .flatMap(shot -> shot.record().text(field).stream())
                .reduce((first, second) -> second)
                .orElse("");
    }

    private boolean isOf(ShotSummary shot) {
        return shot.record().text(RecordField.COFFEE).filter(coffee::equals).isPresent();
    }

    private List<ShotSummary> learntFrom(String grinder) {
        List<ShotSummary> onGrinder = shots.stream()
                .filter(shot -> isOf(shot) || shot.record().text(RecordField.GRINDER).orElse("").equals(grinder))
                .toList();
        return onGrinder.subList(Math.max(0, onGrinder.size() - MOST), onGrinder.size());
    }

    private Optional<String> expected() {
        return shelf.find(ShelfKind.COFFEE, coffee).flatMap(item -> item.entries().text(ShelfField.EXPECTED_NOTES));
    }

    private Optional<BagFigure> bag() {
        Optional<ShelfItem> bag = shelf.find(ShelfKind.BAG, newest(RecordField.BAG))
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
