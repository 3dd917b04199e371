package org.grenu.figures.shelf;

import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.hydraulics.ValveCalibration;
import org.grenu.core.hydraulics.ValveSchedule;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Measured;
import org.grenu.figures.paint.Words.Align;

/** A machine: the way of its water with the place of the gauge, and its valve's free flow with band. */
final class MachinePicture {

    private static final int STEPS = 160;

    private final Sketch s;
    private final MachineFigure machine;
    private final double width;

    MachinePicture(Sketch s, MachineFigure machine, double width) {
        this.s = s;
        this.machine = machine;
        this.width = width;
    }

    void paint() {
        way();
        machine.valve().ifPresent(this::valve);
    }

    /** Pump, line and group in the order in which the water meets them. */
    private void way() {
        String[] stations = {"pump", "line", "group"};
        double from = 46;
        double step = 104;
        s.line(from, 40, from + 2 * step, 40, "rail", 3);
        for (int i = 0; i < stations.length; i++) {
            double x = from + i * step;
            s.ring(x, 40, 9, "ink");
            String name = stations[i].equals("pump") && !machine.pump().isEmpty() ? machine.pump() + " pump"
                    : stations[i];
            s.note(name, x, 64, Align.CENTRE);
            if (stations[i].equals(machine.place())) {
                s.dot(x, 40, 4, "accent", 1);
                s.line(x, 31, x, 22, "accent", 1.2);
                s.accent("pressure read here" + (machine.state().isEmpty() ? "" : ", " + machine.state()), x, 16,
                        i == 0 ? Align.LEFT : i == 1 ? Align.CENTRE : Align.RIGHT);
            }
        }
        if (machine.place().isEmpty()) {
            s.note("where the pressure is read is unknown", 0, 16, Align.LEFT);
        }
        double x = from + 2 * step + 52;
        s.note("controls", x, 30, Align.LEFT);
        s.prose(machine.controls().isEmpty() ? "unknown" : String.join(" · ", machine.controls()), x + 62, 30,
                width - x - 62);
        s.note("warm-up", x, 48, Align.LEFT);
        s.prose(number(machine.warmUp(), " min"), x + 62, 48, width - x - 62);
        s.note("at rest", x, 66, Align.LEFT);
        s.prose(machine.offset().map(shown -> shown + " shown").orElse("unknown"), x + 62, 66, width - x - 62);
    }

    private static String number(OptionalDouble number, String unit) {
        return number.isPresent() ? DecimalText.exact(number.getAsDouble()).replace('-', '\u2212') + unit : "unknown";
    }

    private void valve(ValveCalibration valve) {
        double bottom = 252;
        List<ValveCalibration.Position> positions = valve.positions();
        double low = positions.get(0).at();
        double high = positions.get(positions.size() - 1).at();
        double most = positions.stream().flatMap(p -> p.flows().stream()).mapToDouble(f -> f).max().orElse(1) * 1.06;
        Sketch.Axis across = new Sketch.Axis(low, high, 40, width - 150);
        Sketch.Axis up = new Sketch.Axis(0, Math.max(0.1, most), bottom, 108);
        s.value("Free flow through the open group", 0, 90, Align.LEFT);
        s.note("g/s", 34, 106, Align.RIGHT);
        s.beside(up, across.from(), across.to(), 4);
        band(valve, across, up, low, high);
        s.below(across, bottom, 8, "");
        s.note(machine.counted(), across.to(), bottom + 30, Align.RIGHT);
        for (ValveCalibration.Position position : positions) {
            position.flows().forEach(flow -> s.dot(across.at(position.at()), up.at(flow), 2.2, "ink", 0.55));
        }
        for (ValveSchedule.Step step : machine.schedule().steps()) {
            Optional<Measured> flow = valve.flowAt(step.position());
            flow.ifPresent(at -> s.ring(across.at(step.position()), up.at(at.value()), 4.5, "accent"));
        }
        beside(valve);
    }

    private void band(ValveCalibration valve, Sketch.Axis across, Sketch.Axis up, double low, double high) {
        Path2D curve = new Path2D.Double();
        List<double[]> upper = new ArrayList<>();
        List<double[]> lower = new ArrayList<>();
        for (int i = 0; i <= STEPS; i++) {
            double position = i == STEPS ? high : low + (high - low) * i / STEPS;
            Measured flow = valve.flowAt(position).orElseThrow();
            double x = across.at(position);
            if (i == 0) {
                curve.moveTo(x, up.at(flow.value()));
            } else {
                curve.lineTo(x, up.at(flow.value()));
            }
            upper.add(new double[] {x, up.at(flow.value() + flow.expanded())});
            lower.add(0, new double[] {x, up.at(Math.max(0, flow.value() - flow.expanded()))});
        }
        Path2D band = new Path2D.Double();
        band.moveTo(upper.get(0)[0], upper.get(0)[1]);
        upper.forEach(point -> band.lineTo(point[0], point[1]));
        lower.forEach(point -> band.lineTo(point[0], point[1]));
        band.closePath();
        s.fill(band, "ink", 0.14);
        s.curve(curve, "ink", 1.8);
    }

    private void beside(ValveCalibration valve) {
        double x = width - 134;
        int runs = valve.positions().stream().mapToInt(position -> position.flows().size()).sum();
        s.note(runs + " runs at " + valve.positions().size() + " positions", x, 122, Align.LEFT);
        s.note("band: k = 2", x, 138, Align.LEFT);
        s.note("most", x, 162, Align.LEFT);
        s.value(String.format(Locale.ROOT, "%.2f g/s", valve.largest()), x + 40, 162, Align.LEFT);
        if (!machine.schedule().steps().isEmpty()) {
            s.ring(x + 5, 182, 4.5, "accent");
            s.note("kept schedule", x + 16, 186, Align.LEFT);
        }
        outOfOrder(valve, x);
    }

    private void outOfOrder(ValveCalibration valve, double x) {
        if (!valve.outOfOrder().isEmpty()) {
            s.warn("out of order at", x, 214, Align.LEFT);
            s.warn(String.join(", ", valve.outOfOrder().stream().map(p -> DecimalText.exact(p.at())).toList()), x, 228,
                    Align.LEFT);
        }
    }
}
