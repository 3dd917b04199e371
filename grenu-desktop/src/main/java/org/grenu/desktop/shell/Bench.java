package org.grenu.desktop.shell;

import java.util.concurrent.Executor;
import org.grenu.desktop.desk.Appearance;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.importing.ImportViewModel;
import org.grenu.desktop.importing.MappingViewModel;
import org.grenu.desktop.ledger.LedgerViewModel;
import org.grenu.desktop.rack.RackViewModel;
import org.grenu.desktop.read.ReadViewModel;
import org.grenu.library.Library;

/** The desk and the view-models around it, put together once per window. */
public record Bench(StudyDesk desk, Appearance appearance, RackViewModel rack, ReadViewModel read, LedgerViewModel ledger,
                    ImportViewModel importing, MappingViewModel mapping, ExportActions exports) implements AutoCloseable {

    /** {@return a bench on that library} */
    public static Bench on(Library library, Executor interfaceThread) {
        StudyDesk desk = new StudyDesk(library, interfaceThread);
        Appearance appearance = new Appearance(desk.shots());
        ReadViewModel read = new ReadViewModel(desk);
        ImportViewModel importing = new ImportViewModel(desk, interfaceThread);
        return new Bench(desk, appearance, new RackViewModel(desk), read, new LedgerViewModel(desk, appearance, read::showAt),
                importing, new MappingViewModel(desk, importing, interfaceThread), new ExportActions(desk, read, appearance, interfaceThread));
    }

    /** Lets work that has begun finish, then closes the library. */
    @Override
    public void close() {
        importing.close();
        mapping.close();
        exports.close();
        desk.close();
    }
}
