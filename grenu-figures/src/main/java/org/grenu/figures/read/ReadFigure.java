package org.grenu.figures.read;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.CurveAxis;
import org.grenu.core.curve.UniformCurve;
import org.grenu.core.entry.MomentNote;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;

/**
 * What the figure of a shot shows, apart from colours and sizes.
 *
 * @param axis    what the strips run along
 * @param strips  one a channel, top to bottom
 * @param whole   all of the log along the axis
 * @param phases  for the ribbon, in order
 * @param moments marked across the strips
 * @param marks   found on single strips
 */
public record ReadFigure(CurveAxis axis, List<Strip> strips, AxisRange whole, List<PhaseSpan> phases,
        List<Moment> moments, List<Mark> marks) {

    public ReadFigure {
        strips = List.copyOf(strips);
        phases = List.copyOf(phases);
        moments = List.copyOf(moments);
        marks = List.copyOf(marks);
    }

    /** {@return the figure of that shot, as usual} */
    public static ReadFigure of(Shot shot, ShotMeasures measures) {
        return of(shot, measures, ReadOptions.USUAL, Optional.empty());
    }

    /**
     * {@return the figure of that shot}
     *
     * @param ghost the shot it is held against, lined up by the same axis
     */
    public static ReadFigure of(Shot shot, ShotMeasures measures, ReadOptions options, Optional<ShotMeasures> ghost) {
        return of(shot, measures, options, ghost, Map.of());
    }

    /**
     * {@return the figure of that shot}
     *
     * @param ghost     the shot it is held against, lined up by the same axis
     * @param reference where there is no ghost, the curves that it was pulled by, on its own clock
     */
    public static ReadFigure of(Shot shot, ShotMeasures measures, ReadOptions options, Optional<ShotMeasures> ghost,
            Map<Channel, UniformCurve> reference) {
        List<MomentNote> notes = shot.record().momentNotes();
        return new FigureMaker(shot.log(), measures, options, new FigureMaker.HeldAgainst(ghost, reference), notes)
                .figure();
    }
}
