package org.grenu.desktop.shell;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import javafx.css.Stylesheet;
import org.grenu.figures.theme.Theme;

/**
 * Run by the build: writes the sheets of each theme beside the program's classes, and translates them and our rules to
 * the toolkit's binary form. Where one lies beside a sheet the toolkit reads that instead, in a fraction of the time.
 */
public final class SheetCompiler {

    private final Path folder;

    private SheetCompiler(Path folder) {
        this.folder = folder;
    }

    /** Argument: the folder of this program's sheets. */
    public static void main(String[] arguments) throws IOException {
        SheetCompiler compiler = new SheetCompiler(Path.of(arguments[0]));
        for (Theme theme : List.of(Theme.LIGHT, Theme.DARK)) {
            compiler.write(ThemeSheet.CONTROLS, theme, ControlRules.of(theme));
            compiler.write(ThemeSheet.ROLES, theme, ThemeSheet.roles(theme));
        }
        compiler.translate(folderless(ThemeSheet.RULES));
    }

    private static String folderless(String resource) {
        return resource.substring(resource.lastIndexOf('/') + 1);
    }

    private void write(String kind, Theme theme, String rules) throws IOException {
        String sheet = ThemeSheet.name(kind, theme);
        whole(sheet, beside -> Files.writeString(beside.toPath(), rules));
        translate(sheet);
    }

    private void translate(String sheet) throws IOException {
        whole(sheet.replace(".css", ".bss"),
                beside -> Stylesheet.convertToBinary(folder.resolve(sheet).toFile(), beside));
    }

    /** What writes a file. */
    private interface Writing {
        void to(File file) throws IOException;
    }

    /** Beside, then moved: whoever builds again while the program runs leaves it no half sheet. */
    private void whole(String name, Writing writing) throws IOException {
        Path beside = Files.createTempFile(folder, name, null);
        try {
            writing.to(beside.toFile());
            Files.move(beside, folder.resolve(name), StandardCopyOption.REPLACE_EXISTING,
                    StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(beside);
        }
    }
}
