package org.grenu.formats;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.grenu.core.profile.Exit;
import org.grenu.core.profile.Profile;
import org.grenu.core.profile.ProfileStep;
import org.grenu.core.profile.Target;

/**
 * A profile as an open file; the form is docs/schema/grenu-profile-1.schema.json.
 *
 * @param name    by which shots call it
 * @param profile its steps
 */
public record ProfileJson(String name, Profile profile) {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String FORMAT = "grenu-profile";
    private static final int VERSION = 1;

    /** {@return as it is written} */
    public String write() {
        ObjectNode root = JSON.createObjectNode();
        root.put("format", FORMAT).put("version", VERSION).put("name", name);
        ArrayNode steps = root.putArray("steps");
        for (ProfileStep step : profile.steps()) {
            write(steps.addObject(), step);
        }
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static void write(ObjectNode node, ProfileStep step) {
        node.put("name", step.name()).put("holds", step.target().word()).put("to", step.to());
        step.from().ifPresent(from -> node.put("from", from));
        node.put("over_s", step.rampSeconds()).put("tolerance", step.tolerance());
        step.limit().ifPresent(limit -> node.put("limit_of_the_other", limit));
        step.water().ifPresent(water -> node.put("water_c", water));
        ArrayNode exits = node.putArray("until");
        for (Exit exit : step.exits()) {
            exits.addObject().put("when", exit.kind().name().toLowerCase(Locale.ROOT)).put("value", exit.value());
        }
    }

    /**
     * {@return the profile in that text}
     *
     * @throws IllegalArgumentException if it is not one; names the step and what is wrong with it
     */
    public static ProfileJson read(String text) {
        JsonNode root;
        try {
            root = JSON.readTree(text);
        } catch (JsonProcessingException notJson) {
            throw new IllegalArgumentException("The file is not JSON: line " + notJson.getLocation().getLineNr() + ".",
                    notJson);
        }
        if (root == null || !FORMAT.equals(root.path("format").asText())) {
            throw new IllegalArgumentException("The file does not say “format”: “" + FORMAT + "”.");
        }
        if (root.path("version").asInt() != VERSION) {
            throw new IllegalArgumentException("The file is of version " + root.path("version").asText()
                    + " of the form; this program reads version " + VERSION + ".");
        }
        List<ProfileStep> steps = new ArrayList<>();
        for (JsonNode node : root.path("steps")) {
            steps.add(step(node, steps.size() + 1));
        }
        // Read back as text: what a step may hold is decided in one place.
        return new ProfileJson(root.path("name").asText(), Profile.parse(new Profile(steps).text()));
    }

    private static ProfileStep step(JsonNode node, int number) {
        String holds = node.path("holds").asText();
        if (!holds.equals(Target.PRESSURE.word()) && !holds.equals(Target.FLOW.word())) {
            throw new IllegalArgumentException(
                    "Step " + number + " holds “" + holds + "”; it can hold pressure or flow.");
        }
        List<Exit> exits = new ArrayList<>();
        for (JsonNode exit : node.path("until")) {
            exits.add(new Exit(kind(exit.path("when").asText(), number), number(exit, "value", number)));
        }
        return new ProfileStep(node.path("name").asText("step " + number),
                holds.equals(Target.PRESSURE.word()) ? Target.PRESSURE : Target.FLOW,
                new ProfileStep.Course(optional(node, "from", number), number(node, "to", number),
                        optional(node, "over_s", number).orElse(0), optional(node, "tolerance", number).orElse(0.5)),
                optional(node, "limit_of_the_other", number), optional(node, "water_c", number), exits);
    }

    private static Exit.Kind kind(String name, int step) {
        for (Exit.Kind kind : Exit.Kind.values()) {
            if (kind.name().toLowerCase(Locale.ROOT).equals(name)) {
                return kind;
            }
        }
        throw new IllegalArgumentException("Step " + step + " ends by “" + name + "”, which is not known.");
    }

    private static OptionalDouble optional(JsonNode node, String key, int step) {
        return node.has(key) ? OptionalDouble.of(number(node, key, step)) : OptionalDouble.empty();
    }

    private static double number(JsonNode node, String key, int step) {
        if (!node.path(key).isNumber() || !Double.isFinite(node.path(key).asDouble())) {
            throw new IllegalArgumentException("Step " + step + ": “" + key + "” must be a number.");
        }
        return node.path(key).asDouble();
    }
}
