package org.grenu.bench.peers;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.grenu.bench.MeasuredStudy;
import org.grenu.core.compare.AlignedCurve;
import org.grenu.core.compare.CurveGroup;
import org.grenu.core.compare.CurveOverlay;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.response.MeasuredShot;
import org.grenu.library.AtomicFile;

/** Writes what both sides work on: {@code shots.csv}, a row a shot, and {@code curves.csv}, a row a shot's curves. */
public final class PeerData {

    private static final List<RecordFactor> FACTORS = List.of(RecordFactor.GRIND, RecordFactor.TEMPERATURE,
            RecordFactor.PROFILE, RecordFactor.DAY);
    private static final List<String> RESPONSES = List.of("ey", "strength", "time", "drip", "peak");

    private PeerData() {
    }

    /** Argument: the folder. */
    public static void main(String[] arguments) throws IOException {
        Path folder = Files.createDirectories(Path.of(arguments[0]));
        List<MeasuredShot> shots = MeasuredStudy.shots();
        List<String> rows = new ArrayList<>(List.of("grind,temperature,profile,day," + String.join(",", RESPONSES)));
        shots.forEach(shot -> rows.add(row(shot)));
        write(folder.resolve("shots.csv"), rows);
        write(folder.resolve("curves.csv"), curves(MeasuredStudy.overlay(shots)));
    }

    private static String row(MeasuredShot shot) {
        Stream<String> factors = FACTORS.stream().map(factor -> factor.level(shot.record()).orElse(""));
        Stream<String> responses = MeasuredStudy.RESPONSES.stream()
                .map(response -> response.of(shot).map(Measured::value).map(String::valueOf).orElse("NA"));
        return Stream.concat(factors, responses).collect(Collectors.joining(","));
    }

    /** Label, block, then all channels side by side where every shot's curve is known. */
    private static List<String> curves(CurveOverlay overlay) {
        Map<MeasuredShot, StringBuilder> rows = new LinkedHashMap<>();
        List<String> profiles = new ArrayList<>();
        for (List<CurveGroup> groups : overlay.groups().values()) {
            List<UniformCurve> all = groups.stream()
                    .flatMap(g -> g.members().stream())
                    .map(AlignedCurve::curve)
                    .toList();
            double from = all.stream().mapToDouble(UniformCurve::start).max().orElseThrow();
            double to = all.stream().mapToDouble(UniformCurve::end).min().orElseThrow();
            for (CurveGroup group : groups) {
                for (AlignedCurve member : group.members()) {
                    String profile = RecordFactor.PROFILE.level(member.shot().record()).orElse("");
                    if (!profiles.contains(profile)) {
                        profiles.add(profile);
                    }
                    StringBuilder row = rows.computeIfAbsent(member.shot(), shot -> new StringBuilder(
                            (group == groups.get(0) ? "1," : "0,") + profiles.indexOf(profile)));
                    for (int i = 0; from + i * CurveOverlay.STEP <= to + 1e-9; i++) {
                        row.append(',').append(member.curve().at(from + i * CurveOverlay.STEP));
                    }
                }
            }
        }
        return rows.values().stream().map(StringBuilder::toString).toList();
    }

    private static void write(Path path, List<String> lines) throws IOException {
        AtomicFile.create(path, out -> out.write((String.join("\n", lines) + "\n").getBytes(StandardCharsets.UTF_8)));
    }
}
