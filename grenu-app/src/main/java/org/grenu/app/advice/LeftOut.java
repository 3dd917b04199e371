package org.grenu.app.advice;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.CommonConvention;
import org.grenu.core.response.MeasuredShot;

/**
 * Shots of a coffee that nothing can be learnt from, for what is not written down or hardly meant.
 *
 * @param shots   of the coffee, all
 * @param reasons each with how many shots it leaves out, in words
 */
public record LeftOut(int shots, List<String> reasons) {

    public LeftOut {
        reasons = List.copyOf(reasons);
    }

    static LeftOut of(List<MeasuredShot> ofCoffee, Sound sound, CommonConvention time) {
        List<String> reasons = new ArrayList<>();
        tell(reasons, ofCoffee, shot -> !shot.record().has(RecordField.GRINDER), "no grinder");
        tell(reasons, ofCoffee, shot -> shot.record().number(RecordField.GRIND).isEmpty(), "no grind setting");
        tell(reasons, ofCoffee, shot -> shot.record().pulledAt().isEmpty(), "no date and time");
        tell(reasons, ofCoffee, shot -> shot.measures().masses().dose().isEmpty(), "no dose");
        tell(reasons, ofCoffee, shot -> shot.measures().masses().beverage().isEmpty(), "no beverage mass");
        tell(reasons, ofCoffee, shot -> time.response().of(shot).isEmpty(), "no time");
        sound.doubts().forEach((shot, doubt) -> {
            if (ofCoffee.contains(shot)) {
                reasons.add("shot " + shot.name() + ": " + doubt.field().title() + ", " + doubt.question());
            }
        });
        return new LeftOut(ofCoffee.size(), reasons);
    }

    private static void tell(List<String> reasons, List<MeasuredShot> shots, Predicate<MeasuredShot> lacks,
            String what) {
        long count = shots.stream().filter(lacks).count();
        if (count > 0) {
            reasons.add(count + " of " + shots.size() + (shots.size() == 1 ? " shot names " : " shots name ") + what);
        }
    }

    /** {@return what to fill in, a sentence with a blank before it; empty where nothing is left out} */
    public String words() {
        return reasons.isEmpty() ? "" : " Left out: " + String.join("; ", reasons) + ". Fill in or correct it in Read.";
    }
}
