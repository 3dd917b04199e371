package org.grenu.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.learn.Advice;
import org.grenu.core.learn.GrinderDial;
import org.grenu.core.learn.GrinderRange;
import org.grenu.core.learn.TimeAim;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Response;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.library.Library;
import org.grenu.library.LibraryException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** The next shot of a coffee; see docs/cli.md. */
@Command(name = "advise", mixinStandardHelpOptions = true,
        description = "Say what to set the grinder to for the next shot of a coffee, with its chance and why.",
        footer = {"", "Exit code 0; 2 when an option or the library could not be read, or no shot can be learnt from."})
public final class AdviseCommand implements Callable<Integer> {

    /** Where the grinder's ends are not known, nothing farther off than this from what was tried is proposed, notches. */
    private static final double FAR = 12;

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "LIBRARY", description = "The library file.")
    private Path path;

    @Option(names = "--coffee", paramLabel = "NAME", required = true, description = "The coffee, as its shots name it.")
    private String coffee;

    @Option(names = "--grinder", paramLabel = "NAME",
            description = "The grinder; by default the one of the coffee's last shot.")
    private String grinder;

    @Option(names = "--time", paramLabel = "LOW-HIGH", defaultValue = "25-30",
            description = "The time wanted in s, from pump on to pump off; ${DEFAULT-VALUE}, one school’s, by default.")
    private String time;

    @Option(names = "--notch", paramLabel = "N",
            description = "One notch in the numbers of the dial, instead of the shelf’s.")
    private String notch;

    @Option(names = "--format", paramLabel = "json|table", defaultValue = "table",
            description = "How to print, ${DEFAULT-VALUE} by default.")
    private AnalyseCommand.Format format;

    private final List<String> assumed = new ArrayList<>();

    @Override
    public Integer call() {
        TimeAim aim = aim();
        OptionalDouble typed = notch == null ? OptionalDouble.empty() : positive("--notch", notch);
        try (Library library = Library.openForReading(path,
                Path.of(System.getProperty("java.io.tmpdir"), "grenu"))) {
            return advise(measured(library), library.read(tx -> tx.shelf().all()), aim, typed);
        } catch (LibraryException refused) {
            return failed(refused.getMessage());
        }
    }

    private static List<MeasuredShot> measured(Library library) {
        return library.read(tx -> tx.shots()
                .all()
                .stream()
                .map(summary -> new MeasuredShot(Integer.toString(summary.number()), summary.record(),
                        ShotMeasures.of(new Shot(summary.record(), tx.shots().log(summary.id())))))
                .toList());
    }

    private int advise(List<MeasuredShot> shots, Shelf shelf, TimeAim aim, OptionalDouble typed) {
        List<MeasuredShot> ofCoffee = shots.stream()
                .filter(shot -> coffee.equals(shot.record().text(RecordField.COFFEE).orElse("")))
                .toList();
        if (ofCoffee.isEmpty()) {
            return failed("no shot is of a coffee called “" + coffee + "”. There are " + names(shots) + ".");
        }
        String on = grinder != null ? grinder
                : ofCoffee.get(ofCoffee.size() - 1).record().text(RecordField.GRINDER).orElse("");
        List<MeasuredShot> onGrinder = shots.stream()
                .filter(shot -> on.equals(shot.record().text(RecordField.GRINDER).orElse("")))
                .toList();
        Optional<ShelfItem> known = shelf.find(ShelfKind.GRINDER, on);
        Optional<GrinderDial> dial = dial(onGrinder, known, typed);
        if (dial.isEmpty()) {
            return failed(
                    "it is not known what one notch of the grinder is. Put its step on the shelf, or say --notch.");
        }
        Response shown = StandardResponse.time(TimeConvention.PUMP_ON_TO_PUMP_OFF);
        Optional<Advice> advice = Advice.of(onGrinder, coffee,
                new Advice.Asked(dial.get(), range(onGrinder, known, dial.get()), aim, shown));
        if (advice.isEmpty()) {
            return failed(
                    "no shot of “" + coffee + "” on this grinder tells its setting, dose, beverage mass and time. "
                            + "Pull one, or name another with --grinder.");
        }
        AdvicePrint print = new AdvicePrint(coffee, on, dial.get(), aim, assumed, advice.get());
        PrintWriter out = spec.commandLine().getOut();
        out.print(format == AnalyseCommand.Format.json ? print.json() : print.table());
        out.flush();
        return 0;
    }

    private static String names(List<MeasuredShot> shots) {
        TreeSet<String> names = new TreeSet<>();
        shots.forEach(shot -> shot.record().text(RecordField.COFFEE).ifPresent(names::add));
        return names.isEmpty() ? "none in this library" : String.join(", ", names);
    }

    private Optional<GrinderDial> dial(List<MeasuredShot> shots, Optional<ShelfItem> known, OptionalDouble typed) {
        OptionalDouble finest = number(known, ShelfField.FINEST);
        OptionalDouble coarsest = number(known, ShelfField.COARSEST);
        boolean ends = finest.isPresent() && coarsest.isPresent();
        if (!ends) {
            assumed.add("a smaller number is finer");
        }
        boolean smaller = !ends || finest.getAsDouble() < coarsest.getAsDouble();
        OptionalDouble shelved = number(known, ShelfField.STEP);
        if (typed.isPresent() || shelved.orElse(0) > 0) {
            return Optional.of(new GrinderDial(typed.orElseGet(shelved::getAsDouble), smaller));
        }
        OptionalDouble least = leastDifference(shots);
        least.ifPresent(step -> assumed.add("one notch is " + DecimalText.exact(step)
                + ", the smallest difference of the settings in the log"));
        return least.isPresent() ? Optional.of(new GrinderDial(least.getAsDouble(), smaller)) : Optional.empty();
    }

    private static OptionalDouble leastDifference(List<MeasuredShot> shots) {
        double[] settings = shots.stream()
                .map(shot -> shot.record().number(RecordField.GRIND))
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .distinct()
                .sorted()
                .toArray();
        double least = Double.POSITIVE_INFINITY;
        for (int i = 1; i < settings.length; i++) {
            least = Math.min(least, settings[i] - settings[i - 1]);
        }
        return Double.isInfinite(least) ? OptionalDouble.empty() : OptionalDouble.of(Math.rint(least * 1e6) / 1e6);
    }

    private GrinderRange range(List<MeasuredShot> shots, Optional<ShelfItem> known, GrinderDial dial) {
        OptionalDouble finest = number(known, ShelfField.FINEST);
        OptionalDouble coarsest = number(known, ShelfField.COARSEST);
        if (finest.isPresent() && coarsest.isPresent()) {
            return dial.range(finest.getAsDouble(), coarsest.getAsDouble());
        }
        assumed.add("the grinder goes at least " + DecimalText.exact(FAR)
                + " notches beyond what was tried, as its ends are not on the shelf");
        double[] tried = shots.stream()
                .map(shot -> shot.record().number(RecordField.GRIND))
                .filter(OptionalDouble::isPresent)
                .mapToDouble(number -> dial.finer(number.getAsDouble()))
                .sorted()
                .toArray();
        double low = tried.length == 0 ? 0 : tried[0];
        double high = tried.length == 0 ? 0 : tried[tried.length - 1];
        return new GrinderRange(low - FAR, high + FAR, 1);
    }

    private static OptionalDouble number(Optional<ShelfItem> item, ShelfField field) {
        return item.map(known -> known.entries().number(field)).orElse(OptionalDouble.empty());
    }

    private TimeAim aim() {
        String[] ends = time.split("[-–]");
        if (ends.length == 2) {
            OptionalDouble low = DecimalText.parse(ends[0].strip());
            OptionalDouble high = DecimalText.parse(ends[1].strip());
            if (low.isPresent() && high.isPresent() && low.getAsDouble() > 0
                    && high.getAsDouble() > low.getAsDouble()) {
                return new TimeAim(low.getAsDouble(), high.getAsDouble());
            }
        }
        throw new ParameterException(spec.commandLine(),
                "--time: “" + time + "” must be two times in s, such as 25-30.");
    }

    private OptionalDouble positive(String option, String typed) {
        OptionalDouble number = DecimalText.parse(typed.strip());
        if (number.isEmpty() || !(number.getAsDouble() > 0)) {
            throw new ParameterException(spec.commandLine(),
                    option + ": “" + typed + "” must be a number above zero, such as 0.1.");
        }
        return number;
    }

    private int failed(String why) {
        PrintWriter errors = spec.commandLine().getErr();
        errors.println("grenu: " + why);
        errors.flush();
        return AnalyseCommand.FAILED;
    }
}
