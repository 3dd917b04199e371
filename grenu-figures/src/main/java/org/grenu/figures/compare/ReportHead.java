package org.grenu.figures.compare;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import org.grenu.core.compare.Comparison;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.Variable;

/**
 * What stands over a report.
 *
 * @param author whose it is; empty when nobody said
 * @param day    when it was written
 * @param version of the program
 */
public record ReportHead(String author, LocalDate day, String version) {

    private static final int NAMED = 3;

    /** {@return what was compared, and in which study when it was one} */
    static String title(Comparison comparison) {
        String changed = comparison.question()
                .variables()
                .stream()
                .map(Variable::title)
                .collect(Collectors.joining(", "));
        List<List<
                String>> studies = comparison.shots().stream().map(shot -> shot.record().studies()).distinct().toList();
        String study = studies.size() == 1 && !studies.get(0).isEmpty() ? String.join(", ", studies.get(0))
                : "Comparison of " + comparison.shots().size() + " shots";
        return study + (changed.isEmpty() ? "" : ": " + changed);
    }

    /** {@return who and when; without an author who pulled the shots} */
    String line(Comparison comparison) {
        List<String> pulledBy = comparison.shots()
                .stream()
                .flatMap(shot -> shot.record().text(RecordField.OPERATOR).stream())
                .distinct()
                .sorted()
                .toList();
        String who = !author.isBlank() ? author
                : pulledBy.isEmpty() ? "Author not named"
                        : "Shots pulled by " + String.join(", ", pulledBy.subList(0, Math.min(NAMED, pulledBy.size())))
                                + (pulledBy.size() > NAMED ? " and " + (pulledBy.size() - NAMED) + " more" : "");
        return who + " · " + day;
    }
}
