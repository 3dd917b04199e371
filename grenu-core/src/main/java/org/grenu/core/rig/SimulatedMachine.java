package org.grenu.core.rig;

import java.util.Optional;
import org.grenu.core.profile.Exit;
import org.grenu.core.profile.Profile;
import org.grenu.core.profile.ProfileRunner;
import org.grenu.core.profile.ProfileStep;
import org.grenu.core.profile.Target;

/** Follows a profile with a pump that has its limits, and keeps the pressure above the bed. */
final class SimulatedMachine {

    private static final double RELEASE_SECONDS = 0.4;
    private static final double FILLING_BAR_PER_FLOW = 0.02;

    private final MachineSettings settings;
    private final ProfileRunner runner;
    private final double headspace;
    private Optional<Exit> lastExit = Optional.empty();
    private double filled;
    private double pressure;
    private double pumped;
    private double vented;

    SimulatedMachine(MachineSettings settings, Profile profile, double headspace) {
        this.settings = settings;
        this.runner = new ProfileRunner(profile);
        this.headspace = headspace;
    }

    /** Runs the pump for a time against a bed that takes that flow, mL/s. */
    void run(double taken, double seconds) {
        ProfileStep now = runner.step();
        double cap = Math.min(settings.most(pressure), now.target() == Target.PRESSURE ? now.limit().orElse(99) : 99);
        double wanted = wanted(now, cap, taken);
        pumped = Math.max(0, Math.min(cap, wanted));
        if (full()) {
            pressure = Math.max(0, pressure + (pumped - taken) * seconds / settings.compliance());
        } else {
            filled += (pumped - taken) * seconds;
            pressure = FILLING_BAR_PER_FLOW * pumped;
        }
        runner.advance(seconds);
    }

    private double wanted(ProfileStep now, double cap, double taken) {
        double aim = runner.aim();
        double wanted;
        if (!full()) {
            wanted = now.target() == Target.FLOW ? aim : cap;
        } else if (now.target() == Target.PRESSURE) {
            wanted = taken + settings.compliance() * (Math.min(aim, settings.reliefBar()) - pressure)
                    / settings.controlSeconds();
        } else {
            double most = Math.min(now.limit().orElse(99), settings.reliefBar());
            wanted = Math.min(aim, taken + settings.compliance() * (most - pressure) / settings.controlSeconds());
        }
        return wanted;
    }

    /** Moves on when the step's exit is met. {@return whether it did} */
    boolean moveOn(double mass, double sinceDrip) {
        if (runner.last()) {
            return false;
        }
        lastExit = runner.met(pressure, pumped, mass, sinceDrip);
        if (lastExit.isEmpty()) {
            return false;
        }
        runner.next(pressure, pumped);
        return true;
    }

    /** The pump stands still and the valve lets the pressure go; the bed still takes that flow. */
    void release(double taken, double seconds) {
        pumped = 0;
        double lost = pressure * Math.min(1, seconds / RELEASE_SECONDS);
        vented += Math.max(0, lost * settings.compliance() - taken * seconds);
        pressure -= lost;
    }

    boolean full() {
        return filled >= headspace;
    }

    int step() {
        return runner.index();
    }

    Optional<Exit> lastExit() {
        return lastExit;
    }

    double pressure() {
        return pressure;
    }

    double pumped() {
        return pumped;
    }
}
