package org.grenu.core.otherlab;

import java.util.List;

/**
 * A machine and what it is made to do.
 *
 * @param stages      one after the other
 * @param headspace   that fills before pressure can build, mL
 * @param air         shut in above the bed then, mL: soft at first, ever stiffer
 * @param hose        what the hoses give, mL/bar
 * @param ventSeconds how fast the valve lets the pressure go after the stop; infinite without one
 * @param pumpSeconds how fast the pump follows
 * @param stopGrams   shown by the scale, at which the pump stops
 * @param stopSeconds after which it stops at the latest
 */
record OtherMachine(List<Stage> stages, double headspace, double air, double hose, double ventSeconds,
        double pumpSeconds, double stopGrams, double stopSeconds) {
}
