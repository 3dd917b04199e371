package org.grenu.desktop.shell;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Files that were dropped onto the window.
 *
 * @param photos belong to the open shot
 * @param logs   all others, to be imported
 */
record DroppedFiles(List<Path> photos, List<Path> logs) {

    private static final Pattern PHOTO = Pattern.compile(".*\\.(png|jpe?g|gif|bmp|heic|webp)");

    static DroppedFiles of(List<Path> files) {
        Map<Boolean, List<Path>> parts = files.stream()
                .collect(Collectors.partitioningBy(
                        file -> PHOTO.matcher(file.toString().toLowerCase(Locale.ROOT)).matches()));
        return new DroppedFiles(parts.get(true), parts.get(false));
    }
}
