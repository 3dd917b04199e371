package org.grenu.core.compare;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.MatchedBasis;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;

/**
 * Everything beside a question, by its kind: what was set or was so before the shot, and what comes about once it
 * runs.
 */
final class Circumstances {

    private final Question question;
    private final List<MeasuredShot> shots;
    private final MatchedBasis ground;
    private final List<Characteristic> all;
    private final boolean drawn;

    Circumstances(Question question, List<MeasuredShot> shots, MatchedBasis ground) {
        this.question = question;
        this.shots = shots;
        this.ground = ground;
        this.all = question.beside(shots);
        this.drawn = !shots.isEmpty() && shots.stream().allMatch(shot -> shot.record().flag(RecordField.ORDER_DRAWN));
    }

    /** {@return whether the order of all shots was drawn: whatever came before then moved along by chance} */
    boolean drawn() {
        return drawn;
    }

    /** {@return what was set or was so before the shot, may explain that response and is not in the model} */
    List<Characteristic> setBefore(ResponseModel model) {
        List<String> targets = spokenFor(model);
        return all.stream()
                .filter(one -> !one.comesAbout() && one.mayExplain(model.response()) && !model.holds(one.variable()))
                .filter(one -> !(drawn && one.isOrder()) && !measuredByTheUser(one) && !isReading(one))
                .filter(one -> !targets.contains(one.variable().key()))
                .toList();
    }

    /** {@return what of that may be taken out: not what goes with something asked about by its nature} */
    List<Characteristic> adjustable(ResponseModel model) {
        // What was set is part of an arm only where it was set so throughout, and then it foretells the arm wholly.
        return setBefore(model).stream()
                .filter(one -> question.treatments()
                        .stream()
                        .allMatch(asked -> Characteristic.isLabel(asked) || !one.partOf(asked)))
                .toList();
    }

    /** {@return what comes about once the shot runs and may have made a difference in that response} */
    List<Characteristic> comingAbout(ResponseModel model) {
        return all.stream()
                .filter(one -> one.comesAbout() && one.mayExplain(model.response()) && !model.holds(one.variable()))
                .filter(one -> !(ground.offTheCurve(model.response())
                        && one.variable().key().equals(StandardResponse.BEVERAGE.key())))
                .filter(one -> model.shots().stream().allMatch(one.variable()::known))
                .filter(one -> question.treatments().stream().noneMatch(one::partOf))
                .toList();
    }

    /** A target speaks through what came of it, where that was measured. */
    private List<String> spokenFor(ResponseModel model) {
        return comingAbout(model).stream()
                .filter(measured -> measured.variable().key().equals(StandardResponse.BEVERAGE.key()))
                .flatMap(measured -> measured.target().stream())
                .map(Variable::key)
                .toList();
    }

    /** The zero check is subtracted from the readings already: it scatters with them. */
    private static boolean isReading(Characteristic one) {
        return one.variable().key().equals(RecordField.ZERO.key());
    }

    /** A number of the user's own that scatters is what came of the shot as likely as what went into it. */
    private boolean measuredByTheUser(Characteristic one) {
        boolean own = one.variable() instanceof Variable.Treatment treatment && treatment.factor() instanceof OwnFactor;
        if (!own || !one.variable().numeric()) {
            return false;
        }
        double[] numbers = shots.stream()
                .flatMapToDouble(shot -> one.variable().number(shot).stream())
                .toArray();
        return IntStream.range(0, numbers.length).mapToDouble(i -> numbers[i]).distinct().count() > numbers.length / 2;
    }

    /** {@return what differs by nature between the levels of an arm or a recipe, beside what moved along unmeant} */
    List<Characteristic> partsOf(Variable asked) {
        return all.stream()
                .filter(one -> one.partOf(asked) && asked instanceof Variable.Treatment && moved(one, asked))
                .toList();
    }

    /** Whether it is known throughout and differs somewhere between levels of that variable. */
    private boolean moved(Characteristic one, Variable asked) {
        Map<String, Set<String>> byLevel = new HashMap<>();
        for (MeasuredShot shot : shots) {
            if (asked.level(shot).isPresent() && one.variable().level(shot).isPresent()) {
                byLevel.computeIfAbsent(asked.level(shot).get(), level -> new HashSet<>())
                        .add(one.variable().level(shot).get());
            }
        }
        return byLevel.values().stream().distinct().count() > 1
                && byLevel.values().stream().allMatch(levels -> levels.size() == 1);
    }
}
