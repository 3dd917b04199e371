package org.grenu.formats;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.grenu.core.compare.Comparison;
import org.grenu.core.compare.Question;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.Variable;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;

/**
 * Writes a comparison as a zipped Frictionless Data Package (https://specs.frictionlessdata.io/data-package/): every
 * shot
 * with its record and log as it was logged, the table of shots, the table of effects, and the command that computes
 * them
 * again.
 */
public final class ComparisonPackage {

    private static final ObjectMapper JSON = new ObjectMapper();
    /** So that the same comparison makes the same bytes. */
    private static final long NO_TIME = 0;

    private ComparisonPackage() {
    }

    /**
     * {@return the package's bytes}
     *
     * @param logged the shots by name, faulty ones among them
     */
    public static byte[] write(Comparison comparison, Map<String, Shot> logged) throws IOException {
        Map<String, String> files = new LinkedHashMap<>();
        List<MeasuredShot> shots = new ArrayList<>(comparison.shots());
        shots.addAll(comparison.faulty());
        List<StudyTableWriter.Row> rows = new ArrayList<>();
        for (int i = 0; i < shots.size(); i++) {
            MeasuredShot shot = shots.get(i);
            Shot whole = logged.get(shot.name());
            // The name goes along, so that the answer names the same shots again.
            Shot named = whole
                    .with(whole.record()
                            .with(RecordField.NAME, whole.record().text(RecordField.NAME).orElse(shot.name())));
            files.put(String.format(Locale.ROOT, "shots/shot-%03d.csv", i + 1), ShotCsvWriter.write(named));
            rows.add(new StudyTableWriter.Row(i + 1, named.record(), shot.measures()));
        }
        files.put("shots.csv", StudyTableWriter.write(rows));
        files.put("effects.csv", EffectTableWriter.csv(comparison));
        files.put("README.txt", readme(comparison));
        files.put("datapackage.json", descriptor(comparison, files));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> file : files.entrySet()) {
                ZipEntry entry = new ZipEntry(file.getKey());
                entry.setTime(NO_TIME);
                zip.putNextEntry(entry);
                zip.write(file.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    /** {@return the options of the compare command that ask the same question} */
    public static String options(Question question) {
        StringBuilder options = new StringBuilder();
        for (Variable variable : question.variables()) {
            boolean byLevel = variable instanceof Variable.Treatment treatment && treatment.byLevel()
                    && treatment.factor().numeric();
            options.append(" --factor \"").append(variable.key()).append(byLevel ? ":levels" : "").append('"');
        }
        question.interactions()
                .forEach(pair -> options.append(" --interaction \"")
                        .append(pair.first().key())
                        .append(':')
                        .append(pair.second().key())
                        .append('"'));
        question.responses().forEach(response -> options.append(" --response \"").append(response.key()).append('"'));
        options.append(" --basis ").append(question.basis().key());
        question.block().ifPresent(block -> options.append(" --block \"").append(block.key()).append('"'));
        question.judging()
                .margins()
                .entrySet()
                .stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(margin -> options.append(" --margin \"")
                        .append(margin.getKey())
                        .append('=')
                        .append(DecimalText.exact(margin.getValue()))
                        .append('"'));
        question.judging()
                .steps()
                .entrySet()
                .stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(step -> options.append(" --step \"")
                        .append(step.getKey())
                        .append('=')
                        .append(DecimalText.exact(step.getValue()))
                        .append('"'));
        return options.append(question.judging().holm() ? " --holm" : "").toString().strip();
    }

    private static String readme(Comparison comparison) {
        return "A comparison of shots, written by Grenu.\n\n" + comparison.sentence().text()
                + "\n\nshots/       each shot: its record and its log as logged\n"
                + "shots.csv    a row a shot: record and measures\neffects.csv  a row an effect\n\nComputed again "
                + "by:\n\n  ./grenu compare PACKAGE "
                + options(comparison.question()) + "\n";
    }

    private static String descriptor(Comparison comparison, Map<String, String> files) throws IOException {
        ObjectNode root = JSON.createObjectNode();
        title(root, comparison);
        ArrayNode resources = root.putArray("resources");
        for (String path : files.keySet()) {
            if (path.endsWith(".csv")) {
                resource(resources, path);
            }
        }
        root.putObject("grenu").put("command", "compare").put("options", options(comparison.question()));
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }

    private static void title(ObjectNode root, Comparison comparison) {
        root.put("profile", "data-package")
                .put("name", "grenu-comparison")
                .put("title", comparison.sentence().headline());
        root.put("description", comparison.sentence().text());
    }

    private static void resource(ArrayNode resources, String path) {
        ObjectNode resource = resources.addObject()
                .put("name", path.replace('/', '-').replace(".csv", ""))
                .put("path", path)
                .put("format", "csv")
                .put("mediatype", "text/csv")
                .put("encoding", "utf-8");
        if (path.startsWith("shots/")) {
            resource.putObject("dialect").put("commentChar", "#");
        }
    }
}
