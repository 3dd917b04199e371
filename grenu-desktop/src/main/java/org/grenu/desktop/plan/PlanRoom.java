package org.grenu.desktop.plan;

import java.time.Clock;
import java.util.concurrent.Executor;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.value.ObservableBooleanValue;
import org.grenu.desktop.desk.StudyDesk;

/**
 * The models of Plan, put together once per window.
 *
 * @param tab     which part is shown
 * @param dialIn  the coffee that is dialled in
 * @param target  what is wanted of it
 * @param next    its next rung
 * @param profiles the profile that is drawn
 */
public record PlanRoom(ObjectProperty<PlanTab> tab, DialInViewModel dialIn, TargetViewModel target,
        NextShotViewModel next, ProfilesViewModel profiles) implements AutoCloseable {

    /** {@return the room on that desk} */
    public static PlanRoom on(StudyDesk desk, Executor interfaceThread, Clock clock) {
        DialInViewModel dialIn = new DialInViewModel(desk, interfaceThread, clock);
        return new PlanRoom(new SimpleObjectProperty<>(PlanTab.DIAL_IN), dialIn, new TargetViewModel(dialIn),
                new NextShotViewModel(dialIn, clock), new ProfilesViewModel(desk, dialIn, interfaceThread));
    }

    /** Computes only while somebody looks. */
    public void activeWhile(ObservableBooleanValue shown) {
        dialIn.activeProperty().bind(shown);
        profiles.activeProperty().bind(tab.isEqualTo(PlanTab.PROFILES).and(shown));
    }

    @Override
    public void close() {
        dialIn.close();
        profiles.close();
    }
}
