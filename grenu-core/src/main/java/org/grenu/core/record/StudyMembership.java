package org.grenu.core.record;

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
    public static List<RecordEdit> join(ShotRecord record, String study, Optional<String> arm) {
        if (study.isBlank() || study.contains(";") || study.contains(":")
                || arm.filter(name -> name.contains(";")).isPresent()) {
            throw new RefusedEntry("The name of a study has neither colon nor semicolon, that of an arm no semicolon.");
        }
        Map<String, Optional<String>> arms = arms(record);
        arms.merge(study.strip(), arm.map(String::strip), (there, wanted) -> wanted.or(() -> there));
        return edits(record, arms);
    }

    /** {@return the edits that take the shot out of the study; none when it is not in it} */
    public static List<RecordEdit> leave(ShotRecord record, String study) {
        Map<String, Optional<String>> arms = arms(record);
        return arms.remove(study) == null ? List.of() : edits(record, arms);
    }

    private static Map<String, Optional<String>> arms(ShotRecord record) {
        Map<String, Optional<String>> arms = new LinkedHashMap<>();
        record.studies().forEach(study -> arms.put(study, record.armIn(study)));
        return arms;
    }

    private static List<RecordEdit> edits(ShotRecord record, Map<String, Optional<String>> arms) {
        String named = arms.size() == 1 ? arms.values().iterator().next().orElse("")
                : arms.entrySet()
                        .stream()
                        .filter(entry -> entry.getValue().isPresent())
                        .map(entry -> entry.getKey() + ": " + entry.getValue().get())
                        .collect(Collectors.joining("; "));
        List<RecordEdit> edits = new ArrayList<>();
        edits.add(RecordEdit.of(record, RecordField.STUDY, String.join("; ", arms.keySet())));
        edits.add(RecordEdit.of(record, RecordField.ARM, named));
        edits.removeIf(edit -> !edit.changes());
        return edits;
    }
}
