package org.grenu.core.recovery;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.curve.CurveSettings;
import org.grenu.core.curve.Repair;
import org.grenu.core.curve.RepairKind;
import org.grenu.core.curve.TimedEvent;
import org.grenu.core.hydraulics.ChannelSign;
import org.grenu.core.hydraulics.Hydraulics;
import org.grenu.core.phase.PhaseBorder;
import org.grenu.core.phase.PhaseKind;
import org.grenu.core.phase.Phases;
import org.grenu.core.quantity.Measured;

/** What the analysis finds in known shots, counted. It sees the log alone: no record, no profile, no steps. */
final class Recovery {

    /** Something counted. */
    static final class Share {
        private int right;
        private int all;

        void count(boolean isRight) {
            right += isRight ? 1 : 0;
            all++;
        }

        int all() {
            return all;
        }

        double value() {
            return all == 0 ? Double.NaN : right / (double) all;
        }
    }

    private final Map<Asked, Share> shares = new EnumMap<>(Asked.class);
    private final Map<PhaseKind, Share> borders = new EnumMap<>(PhaseKind.class);
    private final Map<Asked, List<String>> misses = new EnumMap<>(Asked.class);
    private final List<Chance> chances = new ArrayList<>();
    private final List<Double> dripErrors = new ArrayList<>();

    private Recovery() {
        for (Asked asked : Asked.values()) {
            shares.put(asked, new Share());
        }
    }

    static Recovery of(Source source, long seed, int shots) {
        Recovery recovery = new Recovery();
        for (int i = 0; i < shots; i++) {
            recovery.judge(source.shot(seed, i), i);
        }
        return recovery;
    }

    double share(Asked asked) {
        return shares.get(asked).value();
    }

    int count(Asked asked) {
        return shares.get(asked).all();
    }

    /** A likelihood that was stated, and whether it came true. */
    record Chance(double stated, boolean came, boolean broken) {
    }

    /** {@return every likelihood of a loss that was stated} */
    List<Chance> chances() {
        return chances;
    }

    double medianDripError() {
        double[] sorted = dripErrors.stream().mapToDouble(d -> d).sorted().toArray();
        return sorted[sorted.length / 2];
    }

    Map<PhaseKind, Share> borders() {
        return borders;
    }

    /** {@return what went wrong, shot by shot} */
    List<String> misses(Asked asked) {
        return misses.getOrDefault(asked, List.of());
    }

    private void count(Asked asked, KnownShot shot, int index, boolean isRight, String detail) {
        shares.get(asked).count(isRight);
        if (isRight != asked.atLeast()) {
            misses.computeIfAbsent(asked, k -> new ArrayList<>()).add(index + " " + shot.kind() + ": " + detail);
        }
    }

    private void judge(KnownShot shot, int i) {
        CurveMeasures found = CurveMeasures.of(shot.log(), CurveSettings.STANDARD);
        double drip = found.times().firstDrip().map(TimedEvent::seconds).orElse(Double.NaN);
        double error = Math.abs(drip - shot.firstDrip());
        dripErrors.add(Double.isNaN(error) ? 99 : error);
        count(Asked.FIRST_DRIP, shot, i, error <= 0.5, drip + " for " + shot.firstDrip() + repairs(found));
        Optional<TimedEvent> on = found.times().pumpOn();
        count(Asked.PUMP_ON, shot, i, on.isEmpty() || Math.abs(on.get().seconds() - shot.pumpOn()) <= 0.5,
                on + " for " + shot.pumpOn());
        Optional<TimedEvent> off = found.times().pumpOff();
        boolean near = off.isPresent() && Math.abs(off.get().seconds() - shot.pumpOff()) <= 0.3;
        count(Asked.PUMP_OFF, shot, i, near || !shot.showsStop() && off.isEmpty(), off + " for " + shot.pumpOff());
        beverage(shot, i, found);
        phases(shot, i, Phases.of(found, List.of(), Optional.empty()).borders());
        if (shot.sound()) {
            count(Asked.FALSE_REPAIR, shot, i, !found.repaired().repairs().isEmpty(), repairs(found));
        }
        if (shot.flaws().contains(RepairKind.SCALE_LAG)) {
            count(Asked.LATE_SCALE, shot, i,
                    found.repaired().repairs().stream().anyMatch(r -> r.kind() == RepairKind.SCALE_LAG),
                    repairs(found));
        }
        puck(shot, i, found);
    }

    private static String repairs(CurveMeasures found) {
        return " " + found.repaired().repairs().stream().map(Repair::evidence).toList();
    }

    private void beverage(KnownShot shot, int i, CurveMeasures found) {
        Optional<Measured> grams = found.beverage();
        boolean right = shot.timedOut() ? grams.isEmpty()
                : grams.isEmpty() || Math.abs(grams.get().value() - shot.beverage()) <= 0.2;
        count(Asked.BEVERAGE, shot, i, right, grams + " for " + shot.beverage() + repairs(found));
        if (!shot.showsStop()) {
            count(Asked.BEVERAGE_AT_STOP, shot, i, right, grams + " for " + shot.beverage());
        } else if (!shot.timedOut()) {
            count(Asked.BEVERAGE_KNOWN, shot, i, grams.isPresent(), "withheld");
        }
    }

    private void phases(KnownShot shot, int i, List<PhaseBorder> found) {
        for (PhaseBorder border : shot.phases()) {
            boolean hidden = border.kind() == PhaseKind.DRIP_OUT && !shot.showsStop()
                    || border.kind() == PhaseKind.WETTING && shot.log().find(Channel.PUMP_FLOW).isEmpty();
            if (!shot.openTo().contains(border.kind()) && !hidden) {
                boolean near = found.stream()
                        .anyMatch(f -> f.kind() == border.kind() && Math.abs(f.seconds() - border.seconds()) <= 0.8);
                count(Asked.PHASE_BEGINS, shot, i, near, border + " in " + found + " of " + shot.phases());
                borders.computeIfAbsent(border.kind(), k -> new Share()).count(near);
            }
        }
    }

    private void puck(KnownShot shot, int i, CurveMeasures found) {
        Hydraulics hydraulics = Hydraulics.of(found, new Hydraulics.Known(Optional.empty(), Optional.empty(),
                Optional.empty(), Optional.empty(), Optional.empty()));
        Optional<ChannelSign> sign = hydraulics.channel();
        sign.filter(one -> shot.broken() || shot.sound())
                .ifPresent(one -> chances.add(new Chance(one.likelihood(),
                        shot.broken() && Math.abs(one.seconds() - shot.opened()) <= 1.5, shot.broken())));
        if (shot.broken() && shot.lost() >= 0.2 && shot.lost() <= 0.6 && shot.opened() < shot.pumpOff() - 3) {
            boolean near = sign.isPresent() && Math.abs(sign.get().seconds() - shot.opened()) <= 1;
            String detail = sign + " for " + shot.lost() + " at " + shot.opened() + " of " + shot.pumpOff();
            count(Asked.LOSS, shot, i, near, detail);
            if (shot.log().find(Channel.PUMP_FLOW).isEmpty()) {
                count(Asked.LOSS_WITHOUT_METER, shot, i, near, detail);
            }
            if (shot.lost() >= 0.35) {
                count(Asked.LARGE_LOSS, shot, i, near, detail);
            }
        } else if (!shot.broken() && shot.sound()) {
            count(Asked.FALSE_LOSS, shot, i, sign.isPresent(), sign.toString());
        }
        if (!shot.broken() && shot.sound() && shot.peak() >= 0) {
            double peak = shot.resistance()[shot.peak()];
            Optional<Measured> r = hydraulics.peak();
            if (r.isPresent()) {
                String detail = r + " for " + peak + " at " + shot.seconds()[shot.peak()] + " found "
                        + hydraulics.peakSeconds();
                count(Asked.PEAK, shot, i, Math.abs(r.get().value() / peak - 1) <= 0.1, detail);
                count(Asked.PEAK_U, shot, i, Math.abs(r.get().value() - peak) <= r.get().expanded(), detail);
            }
            if (hydraulics.erosion().isPresent() && Double.isFinite(shot.erosion())) {
                Measured e = hydraulics.erosion().get();
                count(Asked.EROSION, shot, i, Math.abs(e.value() - shot.erosion()) <= e.expanded(),
                        e + " for " + shot.erosion() + " peak " + hydraulics.peakSeconds() + " for "
                                + shot.seconds()[shot.peak()] + " of "
                                + Arrays.toString(new double[] {shot.pumpOff()}));
            }
        }
    }
}
