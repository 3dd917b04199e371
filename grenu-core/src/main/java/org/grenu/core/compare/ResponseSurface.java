package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.grenu.core.model.Design;
import org.grenu.core.model.Estimate;
import org.grenu.core.model.FixedFit;
import org.grenu.core.model.Term;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;

/**
 * How responses depend on two numbers at once: a second-order model each, as far as the shots can tell its terms,
 * read on a
 * grid within the hull of the settings that were tried. Other variables of the question stand at their average.
 *
 * @param across the first number
 * @param up the second
 * @param xs grid along the first
 * @param ys grid along the second
 * @param layers one a response
 * @param settings where shots were pulled
 * @param windows what is wanted of responses, by key
 */
public record ResponseSurface(Variable across, Variable up, double[] xs, double[] ys, List<Layer> layers,
        Settings settings, Map<String, Window> windows) {

    /**
     * Where shots were pulled.
     *
     * @param tried settings that were tried, once each
     * @param hull corners of the hull of those settings: beyond it nothing was tried, and nothing is to be shown
     */
    public record Settings(List<double[]> tried, List<double[]> hull) {

        public Settings {
            tried = List.copyOf(tried);
            hull = List.copyOf(hull);
        }
    }

    /** {@return settings that were tried, once each} */
    public List<double[]> tried() {
        return settings.tried;
    }

    /** {@return corners of the hull of those settings: beyond it nothing was tried, and nothing is to be shown} */
    public List<double[]> hull() {
        return settings.hull;
    }

    /** What is wanted where the user says nothing (common practice, no source). */
    public static final Map<String,
            Window> USUAL_WINDOWS = Map.of(StandardResponse.EY_AS_DOSED.key(), new Window(18, 22),
                    StandardResponse.EY_DRY.key(), new Window(18, 22),
                    StandardResponse.STRENGTH.key(), new Window(7, 12));

    private static final int GRID = 41;
    private static final int LEAST_SETTINGS = 3;

    /** From and to. */
    public record Window(double low, double high) {

        boolean holds(double value) {
            return value >= low && value <= high;
        }
    }

    /**
     * One response over the grid, foreseen beyond the hull too so that lines can be drawn up to its edge.
     *
     * @param mean by row (second number) and column (first)
     * @param half half its 95 % interval
     * @param deviation spread of alike shots about the surface
     */
    public record Layer(Response response, double margin, double[][] mean, double[][] half, double deviation) {
    }

    public ResponseSurface {
        layers = List.copyOf(layers);
        windows = Map.copyOf(windows);
    }

    /** {@return whether that place of the grid lies within what was tried} */
    public boolean within(int row, int column) {
        return new Hull(settings.hull).holds(xs[column], ys[row]);
    }

    /** {@return whether all responses that have a window are foreseen within it at that place of the grid} */
    public boolean wanted(int row, int column) {
        boolean any = false;
        for (Layer layer : layers) {
            Window window = windows.get(layer.response().key());
            if (window != null) {
                any = true;
                if (!window.holds(layer.mean()[row][column])) {
                    return false;
                }
            }
        }
        return any;
    }

    /**
     * {@return the surface; empty when fewer than two numbers were asked about, or their settings lie on one line}
     */
    public static Optional<ResponseSurface> of(Comparison comparison, Map<String, Window> windows) {
        List<Variable> numbers = comparison.question()
                .variables()
                .stream()
                .filter(variable -> variable instanceof Variable.Treatment treatment
                        && treatment.factor().numeric())
                .map(variable -> Variable.of(((Variable.Treatment) variable).factor()))
                .toList();
        if (numbers.size() < 2) {
            return Optional.empty();
        }
        List<MeasuredShot> shots = comparison.shots()
                .stream()
                .filter(shot -> numbers.get(0).known(shot) && numbers.get(1).known(shot))
                .toList();
        List<double[]> tried = settings(numbers.get(0), numbers.get(1), shots);
        Hull hull = Hull.of(tried);
        if (tried.size() < LEAST_SETTINGS || !hull.hasArea()) {
            return Optional.empty();
        }
        double[] xs = grid(tried, 0);
        double[] ys = grid(tried, 1);
        List<Layer> layers = comparison.question()
                .responses()
                .stream()
                .flatMap(response -> layer(comparison, numbers, response, xs, ys).stream())
                .toList();
        return layers.isEmpty() ? Optional.empty() : Optional.of(
                new ResponseSurface(numbers.get(0), numbers.get(1), xs, ys, layers, new Settings(tried, hull.corners()),
                        windows));
    }

    private static List<double[]> settings(Variable across, Variable up, List<MeasuredShot> shots) {
        Map<String, double[]> settings = new LinkedHashMap<>();
        shots.forEach(shot -> {
            double[] setting = {across.number(shot).orElseThrow(), up.number(shot).orElseThrow()};
            settings.putIfAbsent(setting[0] + " " + setting[1], setting);
        });
        return List.copyOf(settings.values());
    }

    private static double[] grid(List<double[]> tried, int of) {
        double low = tried.stream().mapToDouble(setting -> setting[of]).min().orElseThrow();
        double high = tried.stream().mapToDouble(setting -> setting[of]).max().orElseThrow();
        double[] grid = new double[GRID];
        for (int i = 0; i < GRID; i++) {
            grid[i] = low + (high - low) * i / (GRID - 1);
        }
        return grid;
    }

    /** With the bends and the twist that the settings can tell; what they cannot is left at nought. */
    private static FixedFit curved(ResponseModel linear, Term.Numeric x, Term.Numeric y) {
        List<Term> terms = new ArrayList<>(linear.fit().design().terms());
        Stream.of(new Term.Product(x, y), new Term.Product(x, x), new Term.Product(y, y))
                .filter(term -> !terms.contains(term))
                .forEach(terms::add);
        FixedFit whole = FixedFit.of(new Design(linear.shots().size(), terms), linear.y(), linear.weights());
        List<Term> told = terms.stream()
                .filter(term -> !(term instanceof Term.Product) || whole.typeTwo(term).isPresent())
                .toList();
        return told.size() == terms.size() ? whole
                : FixedFit.of(new Design(linear.shots().size(), told), linear.y(), linear.weights());
    }

    private static Optional<Layer> layer(Comparison comparison, List<Variable> numbers, Response response, double[] xs,
            double[] ys) {
        List<Variable> others = comparison.question()
                .variables()
                .stream()
                .filter(variable -> numbers.stream().limit(2).noneMatch(n -> n.key().equals(variable.key())))
                .toList();
        List<Variable> asked = new ArrayList<>(numbers.subList(0, 2));
        asked.addAll(others);
        Question question = new Question(asked, List.of(), List.of(response), comparison.question().basis(),
                Optional.empty(), Question.Judging.USUAL, comparison.question().units());
        ResponseModel linear = ResponseModel.of(question, response, comparison.shots(), comparison.ground());
        if (linear.fit() == null || !(linear.terms().get(numbers.get(0)) instanceof Term.Numeric x)
                || !(linear.terms().get(numbers.get(1)) instanceof Term.Numeric y)) {
            return Optional.empty();
        }
        FixedFit fit = curved(linear, x, y);
        double[][] mean = new double[ys.length][xs.length];
        double[][] half = new double[ys.length][xs.length];
        boolean any = false;
        for (int r = 0; r < ys.length; r++) {
            for (int c = 0; c < xs.length; c++) {
                Optional<Estimate> estimate = fit
                        .estimate(fit.design().row(Map.of(x, new double[] {xs[c]}, y, new double[] {ys[r]})));
                mean[r][c] = estimate.map(Estimate::value).orElse(Double.NaN);
                half[r][c] = estimate.map(e -> e.halfWidth(1 - Question.ALPHA)).orElse(Double.NaN);
                any |= estimate.isPresent();
            }
        }
        return any
                ? Optional.of(new Layer(response, comparison.question().margin(response), mean, half, fit.deviation()))
                : Optional.empty();
    }
}
