package org.grenu.desktop.action;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.input.KeyEvent;

/** All actions, in the groups and the order in which they are shown. */
public record Actions(List<Group> groups) {

    /** Actions that belong together. */
    public record Group(String title, List<Action> actions) {

        public Group {
            actions = List.copyOf(actions);
        }
    }

    public Actions {
        groups = List.copyOf(groups);
    }

    /** {@return all of them} */
    public Stream<Action> all() {
        return groups.stream().flatMap(group -> group.actions().stream());
    }

    /**
     * {@return the action of that id}
     *
     * @throws IllegalArgumentException if there is none
     */
    public Action get(String id) {
        return all().filter(action -> action.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no action " + id));
    }

    /** {@return the actions of a group} */
    public List<Action> of(String group) {
        return groups.stream()
                .filter(one -> one.title().equals(group))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no group " + group))
                .actions();
    }

    /** {@return the action on that key} */
    public Optional<Action> on(KeyEvent event) {
        return all().filter(action -> action.keys().stream().anyMatch(key -> key.match(event))).findFirst();
    }
}
