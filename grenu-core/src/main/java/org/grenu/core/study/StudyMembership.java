package org.grenu.core.study;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.grenu.core.entry.RefusedEntry;

/** Which studies a shot belongs to, and in which arm of each, as edits of its record. */
public final class StudyMembership {

    private StudyMembership() {
    }

    /**
     * {@return the edits that put the shot into the study; none when it is in that arm of it already}
     *
     * @param arm of the study; empty leaves the arm the shot has there
     * @throws RefusedEntry if a name holds a semicolon or the study's a colon, which part names in a record
     */
    public static List<SheetEdit> join(ShotSheet sheet, String study, Optional<String> arm) {
        if (study.isBlank() || study.contains(";") || study.contains(":")
                || arm.filter(name -> name.contains(";")).isPresent()) {
            throw new RefusedEntry("The name of a study has neither colon nor semicolon, that of an arm no semicolon.");
        }
        Map<String, Optional<String>> arms = arms(sheet);
        arms.merge(study.strip(), arm.map(String::strip), (there, wanted) -> wanted.or(() -> there));
        return edits(sheet, arms);
    }

    /** {@return the edits that take the shot out of the study; none when it is not in it} */
    public static List<SheetEdit> leave(ShotSheet sheet, String study) {
        Map<String, Optional<String>> arms = arms(sheet);
        return arms.remove(study) == null ? List.of() : edits(sheet, arms);
    }

    private static Map<String, Optional<String>> arms(ShotSheet sheet) {
        Map<String, Optional<String>> arms = new LinkedHashMap<>();
        sheet.studies().forEach(study -> arms.put(study, sheet.armIn(study)));
        return arms;
    }

    private static List<SheetEdit> edits(ShotSheet sheet, Map<String, Optional<String>> arms) {
        String named = arms.size() == 1 ? arms.values().iterator().next().orElse("")
                : arms.entrySet()
                        .stream()
                        .filter(entry -> entry.getValue().isPresent())
                        .map(entry -> entry.getKey() + ": " + entry.getValue().get())
                        .collect(Collectors.joining("; "));
        List<SheetEdit> edits = new ArrayList<>();
        edits.add(SheetEdit.of(sheet, SheetField.STUDY, String.join("; ", arms.keySet())));
        edits.add(SheetEdit.of(sheet, SheetField.ARM, named));
        edits.removeIf(edit -> !edit.changes());
        return edits;
    }
}
