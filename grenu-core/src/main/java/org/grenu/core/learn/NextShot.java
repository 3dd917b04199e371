package org.grenu.core.learn;

import java.util.List;

/** What to pull next. */
public sealed interface NextShot {

    /** {@return what to set} */
    ShotInputs inputs();

    /** {@return the chance that a shot there meets all that is wanted} */
    double chance();

    /** {@return the setting of the grinder, notches finer} */
    default double finer() {
        return inputs().finer();
    }

    /** Why there. */
    enum Why {
        /** A shot there is likeliest to meet what is wanted, per gram of coffee. */
        LIKELIEST,
        /** The last shot missed, and a step towards what is wanted is not much less likely to meet it than a repeat. */
        TOWARDS_THE_AIM,
        /** No single change gets there; this is the first of two that together are likeliest to. */
        FIRST_OF_TWO,
        /** The last shot shows a channel: what it came to tells little of its setting. */
        CHANNELLED,
        /** The last step told nothing that the spread of a shot could not have made. */
        TOLD_NOTHING,
        /** The changes went to and fro: half of the last one. */
        BETWEEN_THE_LAST_TWO
    }

    /** Where the set-up ends. */
    enum End {
        FINEST, COARSEST, BAG,
        /** Nothing that can be set is likely to meet all that is wanted. */
        TARGET
    }

    /**
     * A move that the set-up allows.
     *
     * @param lever  what is moved
     * @param inputs what to set
     * @param chance of meeting all that is wanted
     */
    record Move(Slope lever, ShotInputs inputs, double chance) {
    }

    /** One thing set anew, all else as it is. */
    record Change(Slope lever, ShotInputs inputs, double chance, Why why) implements NextShot {
    }

    /** The same once more. */
    record Repeat(ShotInputs inputs, double chance, Why why) implements NextShot {
    }

    /**
     * Nothing: what is wanted is met, and no change would raise the chance by much.
     *
     * @param gain by how much the best change would raise it
     */
    record Enough(ShotInputs inputs, double chance, double gain) implements NextShot {
    }

    /**
     * The set-up's end: even there what is wanted is hardly met, or the bag does not hold another shot.
     *
     * @param couldMove what else could be moved, the likeliest first
     */
    record Limit(ShotInputs inputs, double chance, End end, List<Move> couldMove) implements NextShot {

        public Limit {
            couldMove = List.copyOf(couldMove);
        }
    }
}
