package org.grenu.desktop;

import java.nio.file.Path;
import java.util.List;

/**
 * What the window is asked to open.
 *
 * @param library the library file
 * @param files   to import into it
 * @param demo    whether to see to it that the demo study is in it
 */
public record WindowRequest(Path library, List<Path> files, boolean demo) {
}
