package org.grenu.figures.compare;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.grenu.core.compare.CurveGroup;
import org.grenu.core.curve.Channel;

/**
 * One of the fields that stand side by side.
 *
 * @param title  level of the factor that tells the fields apart; empty with one field
 * @param remark how many shots it holds
 * @param groups of curves, by channel
 * @param shaded stretches of the axis to shade, by channel
 */
public record Facet(String title, String remark, Map<Channel, List<CurveGroup>> groups,
        Map<Channel, List<double[]>> shaded) {

    public Facet {
        groups = new LinkedHashMap<>(groups);
        shaded = new LinkedHashMap<>(shaded);
    }
}
