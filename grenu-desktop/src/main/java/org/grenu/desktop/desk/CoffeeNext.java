package org.grenu.desktop.desk;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.beans.InvalidationListener;
import javafx.beans.Observable;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.grenu.app.advice.Advisor;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.core.record.RecordField;

/** The advice for the coffee of the shot that is open, worked out beside the interface. */
public final class CoffeeNext implements AutoCloseable {

    private final StudyDesk desk;
    private final Background worker;
    private final Latest latest;
    private final ReadOnlyObjectWrapper<Answered> answered = new ReadOnlyObjectWrapper<>();
    private String asked = "";

    /** What was answered of that coffee. */
    private record Answered(String coffee, CoffeeAdvice.Outcome outcome) {
    }

    /** The advice on that desk. */
    public CoffeeNext(StudyDesk desk, Executor interfaceThread) {
        this.desk = desk;
        this.worker = new Background("grenu-coffee-next", interfaceThread);
        this.latest = new Latest(worker);
        InvalidationListener anew = observable -> ask(true);
        Runnable again = desk.turns().of(() -> ask(true));
        desk.shots().addListener((Observable o) -> again.run());
        desk.shelfProperty().addListener(anew);
        desk.settingsProperty().addListener(anew);
        desk.openProperty().addListener(observable -> ask(false));
        ask(true);
    }

    /** {@return changes when another answer is there} */
    public ReadOnlyObjectProperty<?> answeredProperty() {
        return answered.getReadOnlyProperty();
    }

    /** {@return what was answered of the open shot's coffee; empty while that is not known} */
    public Optional<CoffeeAdvice.Outcome> ofOpen() {
        return Optional.ofNullable(answered.get())
                .filter(answer -> answer.coffee.equals(coffee()) && !answer.coffee.isEmpty())
                .map(Answered::outcome);
    }

    private String coffee() {
        OpenShot open = desk.openProperty().get();
        return open == null ? "" : open.summary().record().text(RecordField.COFFEE).orElse("");
    }

    private void ask(boolean anew) {
        String coffee = coffee();
        if (coffee.isEmpty() || !anew && coffee.equals(asked)) {
            return;
        }
        asked = coffee;
        Advisor advisor = new Advisor(List.copyOf(desk.shots()), shot -> desk.analyses().of(shot).measured(),
                desk.shelfProperty().get(), desk.settingsProperty().get());
        latest.ask(() -> new Answered(coffee, advisor.ask(new Advisor.Question(coffee)).outcome()), answered::set,
                failure -> {
                    // What was said of other shots must not stand beside these.
                    answered.set(null);
                    desk.failed(failure);
                });
    }

    @Override
    public void close() {
        worker.close();
    }
}
