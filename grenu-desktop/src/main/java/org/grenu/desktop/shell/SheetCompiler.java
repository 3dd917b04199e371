package org.grenu.desktop.shell;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.css.Stylesheet;
import org.grenu.figures.theme.Theme;

/**
 * Run by the build: writes the sheets of each theme beside the program's classes and translates them and our rules to the
 * toolkit's binary form, which it reads instead where it lies beside a sheet, in a fraction of the time.
 */
public final class SheetCompiler {

    private SheetCompiler() {
    }

    /** Argument: the folder of this package's resources. */
    public static void main(String[] arguments) throws IOException {
        Path folder = Path.of(arguments[0]);
        for (Theme theme : List.of(Theme.LIGHT, Theme.DARK)) {
            Files.writeString(folder.resolve(name("controls", theme)), ControlRules.of(theme));
            Files.writeString(folder.resolve(name("roles", theme)), ThemeSheet.roles(theme));
            compile(folder, name("controls", theme));
            compile(folder, name("roles", theme));
        }
        compile(folder, "grenu.css");
    }

    private static void compile(Path folder, String sheet) throws IOException {
        Stylesheet.convertToBinary(folder.resolve(sheet).toFile(),
                folder.resolve(sheet.replace(".css", ".bss")).toFile());
    }

    /** {@return where the sheet of that kind for that theme lies} */
    static String sheet(String kind, Theme theme) {
        return SheetCompiler.class.getResource("/org/grenu/desktop/" + name(kind, theme)).toExternalForm();
    }

    private static String name(String kind, Theme theme) {
        return kind + "-" + (theme.dark() ? "dark" : "light") + ".css";
    }
}
