package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.grenu.core.demo.weighing.StudyKind;
import org.grenu.core.demo.weighing.WeighingStudy;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;

/** How often a kind of study is claimed, refused and covered. */
final class WeighingRates {

    private WeighingRates() {
    }

    record Rates(int studies, int claims, int refusals, int covered, int estimated) {
    }

    static Effect effect(StudyKind kind, Random random) {
        return comparison(kind, random).answers().get(0).effects().get(0);
    }

    static Comparison comparison(StudyKind kind, Random random) {
        List<MeasuredShot> shots = new ArrayList<>();
        for (Shot shot : WeighingStudy.draw(kind, random)) {
            shots.add(new MeasuredShot(Integer.toString(shots.size() + 1), shot.record(), ShotMeasures.of(shot)));
        }
        boolean grind = kind == StudyKind.CARRY_OVER || kind == StudyKind.CARRY_OVER_UNKNOWN;
        boolean arm = kind.name().startsWith("PARTLY") && random.nextBoolean();
        Variable asked = Variable.of(
                grind ? RecordFactor.GRIND : arm ? RecordFactor.ARM : RecordFactor.BEANS_TREATMENT);
        Question question = Question.of(List.of(asked), List.of(StandardResponse.EY_AS_DOSED));
        return Comparison.of(
                kind == StudyKind.FEW_DAYS ? question.inBlocks(Optional.of(RecordFactor.BLOCK)) : question, shots);
    }

    static Rates of(StudyKind kind, int studies, long seed) {
        Random random = new Random(seed);
        int claims = 0;
        int refusals = 0;
        int covered = 0;
        int estimated = 0;
        for (int k = 0; k < studies; k++) {
            Effect effect = effect(kind, random);
            double truth = kind.name().startsWith("CARRY") ? -kind.truth() : kind.truth();
            claims += effect.verdict() instanceof Verdict.Differs || effect.verdict() instanceof Verdict.AtLeast ? 1
                    : 0;
            refusals += effect.verdict() instanceof Verdict.Confounded ? 1 : 0;
            if (effect.estimate().isPresent()) {
                estimated++;
                covered += Math.abs(effect.estimate().get().value() - truth) <= effect.halfWidth() ? 1 : 0;
            }
        }
        return new Rates(studies, claims, refusals, covered, estimated);
    }
}
