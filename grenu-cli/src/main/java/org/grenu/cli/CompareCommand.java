package org.grenu.cli;

import org.grenu.core.quantity.DisplayUnits;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.grenu.app.study.MeasuredSubject;
import org.grenu.app.study.ShotCollection;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Question;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.CommonConvention;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.OwnResponse;
import org.grenu.core.response.Response;
import org.grenu.core.response.RunOrder;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.response.Variable;
import org.grenu.core.record.Factor;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.ShotFilter;
import org.grenu.core.record.ShotRecord;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Compares shots without a window; see docs/cli.md. */
@Command(name = "compare", mixinStandardHelpOptions = true,
        description = "Compare shots: what each factor does to each response, how sure that is, and what else "
                + "differed.",
        footer = {"", "Exit code 0; 2 when an option or a file could not be read, or no shot is left to compare."})
public final class CompareCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "PATH", arity = "1..*",
            description = "A library, a folder or data package with shot files, or shot files.")
    private List<Path> paths;

    @Option(names = "--factor", paramLabel = "NAME[:levels]", required = true,
            description = "What changed, such as grind, profile, coffee, an entry of your own, or a measure as "
                    + "covariate such as beverage or ratio;"
                    + " with :levels a mean for each number instead of a line. May be given several times.")
    private List<String> factors;

    @Option(names = "--interaction", paramLabel = "A:B",
            description = "Two factors that may act together. May be given several times.")
    private List<String> interactions = List.of();

    @Option(names = "--response", paramLabel = "NAME",
            description = "What to ask about, such as ey_as_dosed, strength, first_drip;"
                    + " by default EY as dosed, strength, time, first drip and peak resistance. May be given several "
                    + "times.")
    private List<String> responses = List.of();

    @Option(names = "--basis", paramLabel = "NAME", defaultValue = "equal-setting",
            description = "equal-setting, equal-time, equal-beverage-mass or equal-resistance; ${DEFAULT-VALUE} by "
                    + "default.")
    private String basis;

    @Option(names = "--block", paramLabel = "NAME",
            description = "Take out the level of each day, block or other factor.")
    private String block;

    @Option(names = "--margin", paramLabel = "RESPONSE=N",
            description = "A difference up to that makes none in practice. May be given several times.")
    private List<String> margins = List.of();

    @Option(names = "--step", paramLabel = "FACTOR=N",
            description = "State and judge a number's effect for that change; over the range used by default. May be "
                    + "given several times.")
    private List<String> steps = List.of();

    @Option(names = "--shots", paramLabel = "FILTER", defaultValue = "",
            description = "Only these, such as \"grind:2.2-2.6 coffee:heron age<20\".")
    private String filter;

    @Option(names = "--holm", description = "Correct each response's p-values for asking about several factors.")
    private boolean holm;

    @Option(names = "--format", paramLabel = "json|table", defaultValue = "table",
            description = "How to print, ${DEFAULT-VALUE} by default.")
    private AnalyseCommand.Format format;

    @Override
    public Integer call() {
        ShotCollection sources = ShotCollection.read(paths);
        PrintWriter errors = spec.commandLine().getErr();
        sources.failures().forEach(failure -> errors.println("grenu: " + failure));
        List<MeasuredShot> shots = wanted(sources);
        if (shots.isEmpty()) {
            sayNothingIsLeft(errors);
            return AnalyseCommand.FAILED;
        }
        Comparison comparison = Comparison.of(question(shots), shots);
        write(comparison);
        errors.flush();
        return sources.failures().isEmpty() ? 0 : AnalyseCommand.FAILED;
    }

    private List<MeasuredShot> wanted(ShotCollection sources) {
        ShotFilter wanted = MeasuredSubject.filter(filter);
        return sources.shots()
                .stream()
                .filter(shot -> wanted.matches(new MeasuredSubject(shot)))
                .toList();
    }

    private void sayNothingIsLeft(PrintWriter errors) {
        errors.println(
                "grenu: no shot is left to compare. " + (filter.isBlank() ? "Check the paths." : "Check --shots."));
        errors.flush();
    }

    private void write(Comparison comparison) {
        PrintWriter out = spec.commandLine().getOut();
        out.print(format == AnalyseCommand.Format.json ? ComparisonJson.write(comparison)
                : ComparisonTable.write(comparison));
        out.flush();
    }

    private Question question(List<MeasuredShot> shots) {
        List<ShotRecord> sheets = shots.stream().map(MeasuredShot::record).toList();
        List<Variable> variables = factors.stream()
                .map(name -> name.equals(RunOrder.KEY) ? RunOrder.among(shots) : variable(name, sheets))
                .toList();
        List<Question.Pair> pairs = interactions.stream().map(pair -> pair(pair, variables)).toList();
        Map<String, Double> kept = margins(sheets);
        List<Response> asked = asked(shots, sheets, kept);
        ComparisonBasis ground = ground();
        Optional<Factor> blocks = Optional.ofNullable(block)
                .map(name -> factor(name, sheets).orElseThrow(() -> refused("--block", name, factorNames(sheets))));
        return new Question(variables, pairs, asked, ground, blocks,
                new Question.Judging(kept, stepsOf(variables), holm), DisplayUnits.CANONICAL);
    }

    private List<Response> asked(List<MeasuredShot> shots, List<ShotRecord> sheets, Map<String, Double> kept) {
        return responses.isEmpty()
                ? StandardResponse
                        .usual(CommonConvention.of(TimeConvention.PUMP_ON_TO_PUMP_OFF, shots).convention())
                : responses.stream().map(name -> response(name, sheets, kept)).toList();
    }

    private ComparisonBasis ground() {
        return ComparisonBasis.find(basis)
                .orElseThrow(() -> refused("--basis", basis,
                        Stream.of(ComparisonBasis.values()).map(ComparisonBasis::key)));
    }

    private Variable variable(String typed, List<ShotRecord> sheets) {
        boolean byLevel = typed.endsWith(":levels");
        String name = byLevel ? typed.substring(0, typed.length() - ":levels".length()) : typed;
        Optional<Factor> factor = factor(name, sheets);
        if (factor.isPresent()) {
            return new Variable.Treatment(factor.get(), byLevel || !factor.get().numeric());
        }
        return StandardResponse.find(name)
                .map(Variable::of)
                .orElseThrow(() -> refused("--factor", name,
                        Stream.concat(factorNames(sheets), Stream.of("beverage", "ratio"))));
    }

    private Question.Pair pair(String typed, List<Variable> variables) {
        String[] names = typed.split(":");
        if (names.length == 2) {
            Optional<Variable> first = named(names[0], variables);
            Optional<Variable> second = named(names[1], variables);
            if (first.isPresent() && second.isPresent() && !first.equals(second)) {
                return new Question.Pair(first.get(), second.get());
            }
        }
        throw new ParameterException(spec.commandLine(),
                "--interaction: “" + typed + "” must name two of the factors, such as "
                        + variables.stream().map(Variable::key).limit(2).collect(Collectors.joining(":")) + ".");
    }

    private static Optional<Variable> named(String key, List<Variable> variables) {
        return variables.stream()
                .filter(variable -> variable.key().equals(key))
                .findFirst();
    }

    private static Optional<Factor> factor(String name, List<ShotRecord> sheets) {
        return RecordFactor.find(name).or(() -> OwnFactor.of(name, sheets).map(Factor.class::cast));
    }

    private Response response(String name, List<ShotRecord> sheets, Map<String, Double> kept) {
        Optional<Response> own = OwnFactor.of(name, sheets)
                .filter(OwnFactor::numeric)
                .map(entry -> new OwnResponse(entry, kept.getOrDefault(name, 0.0)));
        return StandardResponse.find(name)
                .or(() -> own)
                .orElseThrow(() -> refused("--response", name, responseNames(sheets)));
    }

    private Map<String, Double> margins(List<ShotRecord> sheets) {
        Map<String, Double> kept = new LinkedHashMap<>();
        for (String typed : margins) {
            int sign = typed.indexOf('=');
            OptionalDouble number = sign < 1 ? OptionalDouble.empty() : DecimalText.parse(typed.substring(sign + 1));
            if (number.isEmpty() || number.getAsDouble() < 0) {
                throw new ParameterException(spec.commandLine(), "--margin: “" + typed
                        + "” must be a response and a number that is not negative, such as strength=0.3.");
            }
            String name = typed.substring(0, sign);
            if (StandardResponse.find(name).isEmpty() && OwnFactor.of(name, sheets).isEmpty()) {
                throw refused("--margin", name, responseNames(sheets));
            }
            kept.put(name, number.getAsDouble());
        }
        return kept;
    }

    private Map<String, Double> stepsOf(List<Variable> variables) {
        Map<String, Double> named = new LinkedHashMap<>();
        for (String typed : steps) {
            int sign = typed.lastIndexOf('=');
            OptionalDouble number = sign < 1 ? OptionalDouble.empty() : DecimalText.parse(typed.substring(sign + 1));
            if (number.isEmpty() || !(number.getAsDouble() > 0)) {
                throw new ParameterException(spec.commandLine(),
                        "--step: “" + typed + "” must be a factor and a number above zero, such as grind=0.2.");
            }
            String name = typed.substring(0, sign);
            if (variables.stream().noneMatch(variable -> variable.key().equals(name) && variable.numeric())) {
                throw refused("--step", name, variables.stream().filter(Variable::numeric).map(Variable::key));
            }
            named.put(name, number.getAsDouble());
        }
        return named;
    }

    private static Stream<String> factorNames(List<ShotRecord> sheets) {
        List<Factor> all = new ArrayList<>(List.of(RecordFactor.values()));
        all.addAll(OwnFactor.all(sheets));
        return Stream.concat(all.stream().map(Factor::key), Stream.of(RunOrder.KEY));
    }

    private static Stream<String> responseNames(List<ShotRecord> sheets) {
        return Stream.concat(Stream.of(StandardResponse.values()).map(Response::key),
                OwnFactor.all(sheets).stream().filter(OwnFactor::numeric).map(Factor::key));
    }

    private ParameterException refused(String option, String name, Stream<String> known) {
        return new ParameterException(spec.commandLine(),
                option + ": “" + name + "” is not known. There are " + known.collect(Collectors.joining(", ")) + ".");
    }
}
