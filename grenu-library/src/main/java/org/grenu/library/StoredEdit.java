package org.grenu.library;

import org.grenu.core.study.SheetEdit;

/** An edit as it took effect: {@code shot} is the shot after it. */
public record StoredEdit(ShotSummary shot, SheetEdit edit) {
}
