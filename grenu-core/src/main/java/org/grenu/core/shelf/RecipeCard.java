package org.grenu.core.shelf;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures.Running;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.extraction.Brew;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;

/**
 * A shot's conditions as a card to pull others by: all that is to be kept equal, the curve to follow, and what came
 * of it.
 */
public final class RecipeCard {

    private static final double CORRIDOR_STEP_SECONDS = 0.5;
    private static final int MOST_POINTS = 400;

    private RecipeCard() {
    }

    /** {@return the card of that shot} Dose and beverage mass are taken as they were meant, or else as they were. */
    public static Entries of(int number, ShotRecord record, ShotMeasures measures, TimeConvention clock) {
        Entries card = Entries.NONE;
        for (Field field : ShelfKind.RECIPE.fields()) {
            if (field instanceof RecordField shared && record.has(shared)) {
                card = card.with(field, record.entry(shared).orElseThrow());
            }
        }
        if (!card.has(RecordField.DOSE_TARGET)) {
            card = with(card, RecordField.DOSE_TARGET, record.number(RecordField.DOSE), 1);
        }
        if (!card.has(RecordField.BEVERAGE_TARGET)) {
            card = with(card, RecordField.BEVERAGE_TARGET,
                    measures.masses()
                            .beverage()
                            .map(mass -> OptionalDouble.of(mass.value()))
                            .orElse(OptionalDouble.empty()),
                    1);
        }
        card = card.with(ShelfField.FROM_SHOT, Integer.toString(number)).with(ShelfField.CLOCK, clock.title());
        card = with(card, ShelfField.TIME_MEANT, clock.of(measures.curve().times()), 1);
        Optional<Brew> brew = measures.masses().brew();
        card = with(card, ShelfField.STRENGTH_MEANT,
                brew.map(made -> OptionalDouble.of(made.strength().value())).orElse(OptionalDouble.empty()), 2);
        card = with(card, ShelfField.YIELD_MEANT,
                brew.map(made -> OptionalDouble.of(made.asDosed().percent().value())).orElse(OptionalDouble.empty()),
                1);
        return card.with(ShelfField.PRESSURE_CORRIDOR, corridor(measures, Channel.PRESSURE))
                .with(ShelfField.FLOW_CORRIDOR, corridor(measures, Channel.CUP_FLOW));
    }

    private static Entries with(Entries card, Field field, OptionalDouble value, int decimals) {
        return value.isEmpty() ? card : card.with(field, Reported.fixed(value.getAsDouble(), decimals));
    }

    /** The curve from pump on to pump off, or to the log's end, at even steps, on a clock that begins at pump on. */
    private static String corridor(ShotMeasures measures, Channel channel) {
        Optional<UniformCurve> curve = measures.curve().find(channel);
        Optional<Running> running = measures.curve().running();
        if (curve.isEmpty() || running.isEmpty() || measures.curve().times().pumpOn().isEmpty()) {
            return "";
        }
        return points(curve.get(), running.get().from(), running.get().until());
    }

    private static String points(UniformCurve curve, double on, double off) {
        double step = Math.max(CORRIDOR_STEP_SECONDS, (off - on) / MOST_POINTS);
        List<String> points = new ArrayList<>();
        for (double at = on; at <= off + 1e-9; at += step) {
            double value = curve.at(at);
            if (Double.isFinite(value)) {
                points.add(Reported.fixed(at - on, 1).replace('\u2212', '-') + " "
                        + Reported.fixed(Math.max(0, value), 2));
            }
        }
        return String.join("; ", points);
    }

    /**
     * {@return the edits that let a shot start from that version of a recipe: what its record leaves open, and which
     * recipe it
     * was}
     */
    public static List<RecordEdit> start(ShelfItem recipe, ShelfVersion version, ShotRecord recorded) {
        List<RecordEdit> edits = new ArrayList<>();
        edits.add(RecordEdit.of(recorded, RecordField.RECIPE,
                recipe.name() + (recipe.versions().size() > 1 ? " v" + version.number() : "")));
        for (Field field : ShelfKind.RECIPE.fields()) {
            Optional<String> text = version.entries().entry(field);
            if (field instanceof RecordField shared && text.isPresent() && !recorded.has(shared)) {
                edits.add(RecordEdit.of(recorded, shared, text.get()));
            }
        }
        return edits.stream().filter(RecordEdit::changes).toList();
    }
}
