package org.grenu.desktop.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import javafx.collections.FXCollections;
import org.junit.jupiter.api.Test;

class TurnsTest {

    private final Deque<Runnable> later = new ArrayDeque<>();
    private final List<String> done = new ArrayList<>();

    @Test
    void ofManyShotsEachHasATurnOfItsOwnAndIsDoneOnce() {
        Turns turns = new Turns(FXCollections.observableArrayList(Collections.nCopies(5_000, "shot")), later::add);
        Runnable header = turns.of(() -> done.add("header"));
        Runnable rack = turns.of(() -> done.add("rack"));
        header.run();
        rack.run();
        header.run();
        assertThat(done).isEmpty();
        later.remove().run();
        assertThat(done).containsExactly("header");
        later.remove().run();
        assertThat(done).containsExactly("header", "rack");
        assertThat(later).isEmpty();
    }

    @Test
    void whatFailsHoldsNobodyElseUp() {
        Turns turns = new Turns(FXCollections.observableArrayList(Collections.nCopies(5_000, "shot")), later::add);
        turns.of(() -> {
            throw new IllegalStateException("no");
        }).run();
        turns.of(() -> done.add("rack")).run();
        assertThatThrownBy(later.remove()::run).hasMessage("no");
        later.remove().run();
        assertThat(done).containsExactly("rack");
    }

    @Test
    void ofFewShotsNothingWaits() {
        Turns turns = new Turns(FXCollections.observableArrayList("shot"), later::add);
        turns.of(() -> done.add("rack")).run();
        assertThat(done).containsExactly("rack");
        assertThat(later).isEmpty();
    }
}
