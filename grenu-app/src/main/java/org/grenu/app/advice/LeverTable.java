package org.grenu.app.advice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.core.diagnosis.SchoolMove;
import org.grenu.core.learn.Beliefs;
import org.grenu.core.learn.Prediction;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.learn.Slope;

/**
 * What each lever would do to the next shot, all else held, as far as this log and common practice know.
 *
 * @param rows one a lever that the set-up can move
 */
public record LeverTable(List<Row> rows) {

    /**
     * One lever.
     *
     * @param time  of a shot after the move, s
     * @param yield likewise, %; empty where no shot was read
     * @param tried whether this log has moved it, so that more than common practice speaks
     */
    public record Row(SchoolMove move, Prediction time, Optional<Prediction> yield, boolean tried) {
    }

    public LeverTable {
        rows = List.copyOf(rows);
    }

    /** {@return the levers of that advice, by one step of each} */
    public static LeverTable of(CoffeeAdvice given) {
        List<Row> rows = new ArrayList<>();
        rows.add(row(given, new SchoolMove(Slope.GRIND, 1)));
        rows.add(row(given, new SchoolMove(Slope.GRIND, -1)));
        given.setUp().reach().others().forEach((lever, range) -> {
            for (int direction : new int[] {1, -1}) {
                double step = direction * range.step();
                if (range.holds(given.advice().held().setting(lever) + step)) {
                    rows.add(row(given, new SchoolMove(lever, step)));
                }
            }
        });
        return new LeverTable(rows);
    }

    private static Row row(CoffeeAdvice given, SchoolMove move) {
        ShotInputs held = given.advice().held();
        ShotInputs moved = held.with(move.lever(), held.setting(move.lever()) + move.by());
        Beliefs beliefs = given.advice().beliefs();
        return new Row(move, beliefs.time().shot(moved), beliefs.yield().map(belief -> belief.shot(moved)),
                SchoolAnswers.varied(given, move.lever()));
    }
}
