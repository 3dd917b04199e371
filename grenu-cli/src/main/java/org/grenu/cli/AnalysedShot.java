package org.grenu.cli;

import java.util.List;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;

/** One file's shot with its measures and what was assumed in reading it. */
record AnalysedShot(String file, Shot shot, ShotMeasures measures, List<String> assumptions) {
}
