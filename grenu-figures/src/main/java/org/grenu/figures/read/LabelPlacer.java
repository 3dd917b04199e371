package org.grenu.figures.read;

import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Keeps labels from covering each other: the first place that is free is taken; a label without a free place is
 * left out.
 */
final class LabelPlacer {

    private static final double GAP = 4;

    private final Rectangle2D bounds;
    private final List<Rectangle2D> taken = new ArrayList<>();

    LabelPlacer(Rectangle2D bounds) {
        this.bounds = bounds;
    }

    /**
     * {@return the first of the candidates that lies within the bounds and on nothing else; it is taken from now
     * on}
     */
    Optional<Rectangle2D> place(List<Rectangle2D> candidates) {
        for (Rectangle2D candidate : candidates) {
            if (bounds.contains(candidate) && taken.stream().noneMatch(other -> other.intersects(candidate))) {
                taken.add(new Rectangle2D.Double(candidate.getX() - GAP, candidate.getY(),
                        candidate.getWidth() + 2 * GAP, candidate.getHeight()));
                return Optional.of(candidate);
            }
        }
        return Optional.empty();
    }
}
