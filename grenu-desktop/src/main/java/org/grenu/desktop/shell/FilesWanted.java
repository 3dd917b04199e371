package org.grenu.desktop.shell;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** What files are asked for, so that the dialog shows those first. */
public enum FilesWanted {

    /** Logs of shots, several at once. */
    LOGS("Import shots", "Shot logs", "*.csv", "*.tsv", "*.txt", "*.json", "*.xlsx"),
    /** The log of a shot that is written down already. */
    LATE_LOG("The log of this shot", "Shot logs", "*.csv", "*.tsv", "*.txt", "*.json", "*.xlsx"),
    /** A log whose columns are to be named. */
    LOG("Name the columns of a log", "Shot logs", "*.csv", "*.tsv", "*.txt", "*.xlsx"),
    /** Mappings that somebody shared, several at once. */
    MAPPINGS("Take mappings from files", "Mappings", "*.json"),
    /** Profiles that somebody shared, several at once. */
    PROFILES("Take profiles from files", "Profiles", "*.json"),
    /** A table with a row for each shot. */
    TABLE("Join a table to the shots", "Tables", "*.csv", "*.tsv", "*.txt", "*.xlsx"),
    /** A data package or another library. */
    PACKAGE("Merge a package or another library", "Packages and libraries", "*.zip", "*.sqlite"),
    /** A copy that was made of this library. */
    BACKUP("Restore a backup", "Libraries", "*.sqlite"),
    /** Whatever belongs to a shot, several at once. */
    PHOTOS("Attach photos and files", "Photos", "*.jpg", "*.jpeg", "*.png", "*.webp", "*.heic");

    private final String title;
    private final String name;
    private final List<String> patterns;

    FilesWanted(String title, String name, String... patterns) {
        this.title = title;
        this.name = name;
        this.patterns = List.of(patterns);
    }

    String title() {
        return title;
    }

    /** {@return what files of these patterns are called} */
    String kind() {
        return name;
    }

    /** {@return patterns of names, in lower and upper case since the system's dialogs may tell them apart} */
    List<String> patterns() {
        return patterns.stream().flatMap(pattern -> Stream.of(pattern, pattern.toUpperCase(Locale.ROOT))).toList();
    }

    boolean several() {
        return this == LOGS || this == PHOTOS || this == MAPPINGS;
    }
}
