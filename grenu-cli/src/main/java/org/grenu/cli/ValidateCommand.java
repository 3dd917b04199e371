package org.grenu.cli;

import java.io.PrintWriter;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.grenu.core.demo.RecoveryStudy;
import org.grenu.core.demo.RecoveryStudy.Report;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** Measures the analysis against simulated shots whose truth is known; docs/validation.md is its output. */
@Command(name = "validate", mixinStandardHelpOptions = true,
        description = "Check the analysis on simulated shots whose truth is known, and print the result as Markdown.")
public final class ValidateCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Option(names = "--shots", paramLabel = "N", defaultValue = "600",
            description = "How many shots, ${DEFAULT-VALUE} by default.")
    private int shots;

    @Option(names = "--seed", paramLabel = "N", defaultValue = "1",
            description = "Other seeds give other shots, ${DEFAULT-VALUE} by default.")
    private long seed;

    @Option(names = "--comparisons", paramLabel = "N", defaultValue = "0",
            description = "Check comparisons instead, on so many simulated studies of each kind.")
    private int comparisons;

    @Option(names = "--pool", paramLabel = "N", defaultValue = "1500",
            description = "Simulated shots an arm from which the studies are drawn, ${DEFAULT-VALUE} by default.")
    private int pool;

    @Option(names = "--dial-in", paramLabel = "N", arity = "0..1", fallbackValue = "500", defaultValue = "0",
            description = "Dial in so many coffees of each physics instead, ${FALLBACK-VALUE} without a number.")
    private int dialIn;

    @Override
    public Integer call() {
        check();
        PrintWriter out = spec.commandLine().getOut();
        if (dialIn > 0) {
            out.print(DialInValidation.run(dialIn, seed));
            out.flush();
            return 0;
        }
        if (comparisons > 0) {
            out.print(ComparisonValidation.run(comparisons, pool, seed));
            out.print(WeighingValidation.run(comparisons, seed));
            out.flush();
            return 0;
        }
        out.print(markdown(RecoveryStudy.run(seed, shots)));
        out.flush();
        return 0;
    }

    private void check() {
        if (shots < 3 || shots > 100_000) {
            throw new ParameterException(spec.commandLine(), "--shots must lie between 3 and 100000.");
        }
        if (dialIn < 0 || dialIn > 100_000) {
            throw new ParameterException(spec.commandLine(), "--dial-in must lie between 1 and 100000.");
        }
        if (comparisons < 0 || pool < 40 || pool > 100_000) {
            throw new ParameterException(spec.commandLine(),
                    "--comparisons must not be negative, and --pool must lie between 40 and 100000.");
        }
    }

    private String markdown(Report report) {
        StringBuilder text = new StringBuilder(String.format(Locale.ROOT, """
                # Validation

                What the analysis finds in %d simulated shots whose truth is known, made by `./grenu validate \
                --shots %d --seed %d`:
                random coffee, age, dose, grind, temperature, profile and stop; a third of the logs clean, a third \
                with one flaw, a third
                with two. The analysis sees the log alone: no record, no profile, no step numbers.

                The simulator and the analysis have the same authors. Real logs have faults that neither thought \
                of: read these numbers
                as the upper limit of what to expect.

                | found | within | share | wanted |
                |---|---|---|---|
                | first drip | %.1f s | %s | 95 %% |
                | every phase border of the shot, and no other | %.1f s | %s | 95 %% |
                | beverage mass, or rightly withheld | %.1f g | %s | 98 %% |
                | false repairs on %d clean shots | | %s | below 2 %% |

                ## Borders by phase

                | begin of | within %.1f s |
                |---|---|
                """, report.shots(), shots, seed, RecoveryStudy.DRIP_SECONDS, percent(report.drip()),
                RecoveryStudy.BORDER_SECONDS,
                percent(report.allBorders()), RecoveryStudy.BEVERAGE_GRAMS, percent(report.beverage()), report.clean(),
                percent(report.falseRepairs()), RecoveryStudy.BORDER_SECONDS));
        report.borders()
                .forEach((kind, count) -> text.append(String.format(Locale.ROOT, "| %s | %d of %d |%n",
                        kind.key().replace('_', ' '), count[0], count[1])));
        text.append("\n## Flaws by kind\n\n| flaw | found |\n|---|---|\n");
        report.flaws()
                .forEach((flaw, count) -> text.append(String.format(Locale.ROOT, "| %s | %d of %d |%n",
                        flaw.name().toLowerCase(Locale.ROOT).replace('_', ' '), count[0], count[1])));
        return text.toString();
    }

    private static String percent(double share) {
        return String.format(Locale.ROOT, "%.1f %%", 100 * share);
    }
}
