package org.grenu.desktop.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.compare.Comparison;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.compare.CurveDifference;
import org.grenu.core.compare.CurveOverlay;
import org.grenu.core.compare.Question;
import org.grenu.core.compare.ReferenceDistance;
import org.grenu.core.compare.ResponseSurface;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.response.CommonConvention;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.Factor;
import org.grenu.core.record.ShotRecord;
import org.grenu.figures.compare.CompareSheet;
import org.grenu.figures.compare.OverlayFigure;
import org.grenu.figures.theme.TreatmentScale;

/**
 * Everything that is shown of one question.
 *
 * @param comparison the answer
 * @param sideBySide factor whose levels stand side by side
 * @param overlay    the curves; empty when no picked shot has any along the axis
 * @param difference of the two outer levels of the first factor; empty when they are too few
 * @param surface    over the first two numbers that changed; empty with fewer
 * @param covariates measures that may be held equal: none that a treatment asked about changes itself
 * @param distance   of the curves from those of the shot being read; empty when it is not among them
 */
public record Answered(Comparison comparison, Optional<Factor> sideBySide, Optional<OverlayFigure> overlay,
        Optional<CurveDifference> difference,
        Optional<ResponseSurface> surface, Optional<ReferenceDistance> distance, List<Variable> covariates) {

    private static final int SHUFFLES = 10_000;

    /** {@return all figures on one sheet, in those colours} */
    public CompareSheet sheet(TreatmentScale scale) {
        return new CompareSheet(comparison, sideBySide, overlay,
                differenceFigure(), surface, scale);
    }

    /** {@return the difference of curves as it is drawn; empty where there is none} */
    Optional<OverlayFigure> differenceFigure() {
        AxisKind axis = overlay.map(OverlayFigure::axis).orElse(AxisKind.PUMP_ON);
        return difference.flatMap(found -> OverlayFigure.of(found, axis, comparison.question().units()));
    }

    /**
     * {@return what those shots answer; takes a while, so not on the interface thread}
     *
     * @param first     the factor that gives the colour and the headline
     * @param usual     what is asked about while nothing was chosen
     * @param reference name of the shot being read
     * @param units     in which all is told
     */
    static Answered of(List<MeasuredShot> compared, CompareChoices chosen, Factor first, TimeConvention wanted,
            String reference, DisplayUnits units) {
        List<MeasuredShot> sound = compared.stream().filter(shot -> !shot.faulty()).toList();
        List<ShotRecord> sheets = sound.stream().map(MeasuredShot::record).toList();
        List<Response> usual = StandardResponse.usual(CommonConvention.of(wanted, sound).convention());
        Comparison comparison = Comparison.of(chosen.question(first, sheets, usual).in(units), compared);
        Optional<Factor> sideBySide = chosen.sideBySide(first, sheets);
        Optional<OverlayFigure> overlay = OverlayFigure.of(sound, first.in(units),
                sideBySide.map(factor -> factor.in(units)), chosen.axis(), chosen.channels(), units);
        return new Answered(comparison, sideBySide, overlay,
                difference(sound, chosen, first.in(units), comparison.question()),
                ResponseSurface.of(comparison, wanted(chosen, units)), distance(sound, chosen, first, reference),
                comparison.covariates());
    }

    private static Map<String, ResponseSurface.Window> wanted(CompareChoices chosen, DisplayUnits units) {
        Map<String, ResponseSurface.Window> wanted = new HashMap<>(chosen.wanted());
        wanted.replaceAll((key, window) -> StandardResponse.find(key)
                .map(of -> new ResponseSurface.Window(units.value(window.low(), of.unit()),
                        units.value(window.high(), of.unit())))
                .orElse(window));
        return wanted;
    }

    private static Optional<ReferenceDistance> distance(List<MeasuredShot> shots, CompareChoices chosen, Factor first,
            String reference) {
        CurveOverlay overlay = CurveOverlay.of(shots, first, chosen.axis(), chosen.channels());
        return shots.stream()
                .filter(shot -> shot.name().equals(reference))
                .findFirst()
                .flatMap(shot -> ReferenceDistance.of(overlay, shot));
    }

    /** Of the outer levels, as they differ most. */
    private static Optional<CurveDifference> difference(List<MeasuredShot> shots, CompareChoices chosen, Factor first,
            Question question) {
        List<Factor> within = within(question);
        CurveOverlay overlay = CurveOverlay.of(shots, first, chosen.axis(), chosen.channels());
        List<String> levels = overlay.groups()
                .values()
                .stream()
                .flatMap(List::stream)
                .filter(group -> group.members().size() > 1)
                .map(group -> group.level())
                .distinct()
                .toList();
        return levels.size() < 2 ? Optional.empty()
                : CurveDifference.of(overlay, levels.get(0), levels.get(levels.size() - 1), within, SHUFFLES);
    }

    private static List<Factor> within(Question question) {
        List<Factor> within = new ArrayList<>();
        question.variables()
                .stream()
                .skip(1)
                .filter(variable -> variable instanceof Variable.Treatment)
                .forEach(variable -> within.add(((Variable.Treatment) variable).factor()));
        // Names tell curves apart more than numbers do, so they are let go last.
        within.sort(Comparator.comparing(Factor::numeric));
        question.block().ifPresent(within::add);
        return within;
    }
}
