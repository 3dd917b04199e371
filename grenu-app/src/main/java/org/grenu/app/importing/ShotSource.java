package org.grenu.app.importing;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.grenu.formats.BoundedFile;

/** A file to import: its name, and its bytes when they are asked for. */
public interface ShotSource {

    /** {@return the file's name} */
    String name();

    /** {@return all of its bytes} */
    byte[] read() throws IOException;

    /** {@return the file at that path} */
    static ShotSource of(Path path) {
        return new ShotSource() {
            @Override
            public String name() {
                return path.getFileName().toString();
            }

            @Override
            public byte[] read() throws IOException {
                return BoundedFile.bytes(path);
            }
        };
    }

    /**
     * {@return the files at those paths in the order of their names; a folder stands for the files directly in it}
     */
    static List<ShotSource> of(List<Path> paths) throws IOException {
        List<ShotSource> sources = new ArrayList<>();
        for (Path path : paths) {
            if (Files.isDirectory(path)) {
                try (Stream<Path> inside = Files.list(path)) {
                    inside.filter(Files::isRegularFile).sorted().map(ShotSource::of).forEach(sources::add);
                }
            } else {
                sources.add(of(path));
            }
        }
        return sources;
    }
}
