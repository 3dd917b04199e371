package org.grenu.app.advice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.grenu.core.quantity.Measured;
import org.grenu.core.record.Plausibility;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.CommonConvention;
import org.grenu.core.response.MeasuredShot;

/**
 * Shots whose entries were all meant, as far as anybody can tell, apart from those with one that hardly was.
 *
 * @param shots  that can be built on
 * @param doubts the first question that each of the others raises
 */
record Sound(List<MeasuredShot> shots, Map<MeasuredShot, Plausibility.Doubt> doubts) {

    Sound {
        shots = List.copyOf(shots);
    }

    /**
     * {@return those shots, told apart}
     *
     * @param time   by which convention they are timed
     * @param wanted time of a coffee's shot while no other of it tells any, s
     */
    static Sound of(List<MeasuredShot> shots, CommonConvention time, double wanted) {
        List<MeasuredShot> sound = new ArrayList<>();
        Map<MeasuredShot, Plausibility.Doubt> doubts = new LinkedHashMap<>();
        Map<String, double[]> times = times(shots, time);
        for (MeasuredShot shot : shots) {
            ownDoubt(shot).or(() -> ofTime(shot, time, times.getOrDefault(coffee(shot), new double[0]), wanted))
                    .ifPresentOrElse(asked -> doubts.put(shot, asked), () -> sound.add(shot));
        }
        return new Sound(sound, doubts);
    }

    private static Optional<Plausibility.Doubt> ownDoubt(MeasuredShot shot) {
        return Plausibility.of(shot.record(), shot.measures().masses()).stream().findFirst();
    }

    private static String coffee(MeasuredShot shot) {
        return shot.record().text(RecordField.COFFEE).orElse("");
    }

    /** How long the shots of each coffee took, sorted, but for those that raise a question already. */
    private static Map<String, double[]> times(List<MeasuredShot> shots, CommonConvention time) {
        Map<String, List<Double>> all = new LinkedHashMap<>();
        shots.stream()
                .filter(shot -> ownDoubt(shot).isEmpty())
                .forEach(shot -> time.response()
                        .of(shot)
                        .ifPresent(value -> all.computeIfAbsent(coffee(shot), any -> new ArrayList<>())
                                .add(value.value())));
        Map<String, double[]> sorted = new LinkedHashMap<>();
        all.forEach((name, seconds) -> sorted.put(name,
                seconds.stream().mapToDouble(Double::doubleValue).sorted().toArray()));
        return sorted;
    }

    /** A typed time far from those of the coffee's other shots: what a log shows was not mistyped. */
    private static Optional<Plausibility.Doubt> ofTime(MeasuredShot shot, CommonConvention time, double[] sorted,
            double wanted) {
        if (!shot.record().has(RecordField.PUMP_OFF)) {
            return Optional.empty();
        }
        return time.response().of(shot).map(Measured::value).filter(seconds -> seconds > 0).flatMap(seconds -> {
            double[] others = without(sorted, seconds);
            return Plausibility.besideOthers(seconds,
                    others.length == 0 ? wanted : others[(others.length - 1) / 2]);
        });
    }

    private static double[] without(double[] sorted, double one) {
        int at = Arrays.binarySearch(sorted, one);
        return at < 0 ? sorted
                : DoubleStream.concat(Arrays.stream(sorted, 0, at), Arrays.stream(sorted, at + 1, sorted.length))
                        .toArray();
    }
}
