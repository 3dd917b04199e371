package org.grenu.desktop.importing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.figures.read.ReadFigure;
import org.grenu.formats.mapping.TableMapping;

/**
 * What a mapping makes of a log.
 *
 * @param mapping  the mapping
 * @param reasons  why it was guessed so, by column
 * @param samples  the first cells of each column, by heading
 * @param figures  of the shots it makes, as far as they are shown
 * @param shots    how many shots it makes
 * @param problem  why it cannot be read so; empty when it can
 */
record MappingPreview(TableMapping mapping, Map<String, String> reasons, Map<String, String> samples,
        List<ReadFigure> figures, int shots,
        Optional<String> problem) {
}
