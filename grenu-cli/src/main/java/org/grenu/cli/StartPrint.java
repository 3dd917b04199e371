package org.grenu.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import org.grenu.core.recipe.Proposed;
import org.grenu.core.recipe.StartRecipe;

/** What a coffee without shots is begun with, and who says so, as JSON or text. */
record StartPrint(String coffee, StartRecipe start) {

    private static final ObjectMapper JSON = new ObjectMapper();

    String json() {
        ObjectNode root = JSON.createObjectNode();
        root.put("coffee", coffee);
        ArrayNode entries = root.putObject("start").putArray("entries");
        for (Proposed entry : start.entries()) {
            ObjectNode node = entries.addObject()
                    .put("entry", entry.field().key())
                    .put("value", entry.value())
                    .put("source", entry.source().name().toLowerCase(Locale.ROOT))
                    .put("because", entry.because());
            ArrayNode others = node.putArray("others");
            entry.others()
                    .forEach(other -> others.addObject()
                            .put("value", other.value())
                            .put("because", other.because())
                            .put("school", other.school()));
        }
        ArrayNode warnings = ((ObjectNode) root.get("start")).putArray("warnings");
        start.warnings().forEach(warnings::add);
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    String table() {
        StringBuilder text = new StringBuilder("No shot of ").append(coffee).append(" yet. It could begin with:\n\n");
        for (Proposed entry : start.entries()) {
            String unit = entry.field().unit().isEmpty() ? "" : " " + entry.field().unit();
            text.append(String.format(Locale.ROOT, "%-28s %-18s %s%n", entry.field().title(), entry.value() + unit,
                    whose(entry.source()) + entry.because()));
            entry.others()
                    .forEach(other -> text.append(String.format(Locale.ROOT, "%-28s   %s: %s (%s)%n", "", other.value(),
                            other.because(), other.school())));
        }
        start.warnings().forEach(warning -> text.append("\nBut: ").append(warning).append('\n'));
        return text.toString();
    }

    private static String whose(Proposed.Source source) {
        return switch (source) {
            case HISTORY -> "this library: ";
            case SCHOOL -> "school: ";
            case PRACTICE -> "common practice: ";
        };
    }
}
