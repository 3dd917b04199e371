package org.grenu.core.compare;

import java.util.List;

/** What may be said of an effect. */
public sealed interface Verdict {

    /** {@return the verdict in a word or two} */
    String words();

    /** The effect is not nought, and it is not shown to be too small to matter. */
    record Differs() implements Verdict {

        @Override
        public String words() {
            return "differs";
        }
    }

    /**
     * The effect lies within the margin, whatever it is.
     *
     * @param detectable whether it is nevertheless not nought
     */
    record SameInPractice(boolean detectable) implements Verdict {

        @Override
        public String words() {
            return "same in practice";
        }
    }

    /**
     * The data leave both open.
     *
     * @param more   shots that are likely to settle it, if the effect is as large as it now seems; as many as were
     *               tried
     *               when {@code likely} is false; 0 when nothing can be foreseen
     * @param likely whether that many are likely to do
     * @param repeat names of the shots to repeat, one for each more shot, where the forecast places them
     */
    record CannotSay(int more, boolean likely, List<String> repeat) implements Verdict {

        public CannotSay {
            repeat = List.copyOf(repeat);
        }

        @Override
        public String words() {
            return more == 0 ? "cannot say"
                    : likely ? "cannot say: ~" + more + " more" : "cannot say: " + more + "+ more";
        }
    }

    /**
     * The data cannot tell this effect from another, however many shots of the same kind follow.
     *
     * @param with what moved along, in words
     */
    record Confounded(String with) implements Verdict {

        @Override
        public String words() {
            return "cannot be told from " + with;
        }
    }

    /**
     * Something took the change's place, but by common practice it can have done a part of the effect only.
     *
     * @param least what the change did at least, in the response's unit, with its sign
     * @param with  what moved along, in words
     */
    record AtLeast(double least, String with) implements Verdict {

        @Override
        public String words() {
            return "differs: at least " + (least > 0 ? "+" : "") + Wording.digits(least);
        }
    }

    /**
     * What the model holds equal is something that the change itself changes: with it taken out, part of the effect
     * is
     * taken out too.
     *
     * @param through what the change changes on the way to the response, in words
     */
    record Mediated(String through) implements Verdict {

        @Override
        public String words() {
            return "cannot be told: it changes " + through + " itself";
        }
    }

    /**
     * One shot on each side: the uncertainty of measuring is all there is to judge by, and nothing is said of what
     * the
     * change does.
     *
     * @param beyondMeasuring whether the two shots differ by more than measuring explains
     */
    record SeenOnce(boolean beyondMeasuring) implements Verdict {

        @Override
        public String words() {
            return "one shot each";
        }
    }
}
