package org.grenu.desktop.rack;

import java.util.List;
import java.util.Optional;
import org.grenu.desktop.action.Action;
import org.grenu.library.ShotSummary;

/** Searches that are kept, the one for what worked, and what can be done with the shots that are shown. */
public record SearchActions(RackViewModel model, RackActions actions) {

    /** {@return what is possible now, in the order of the rack's menu} */
    public List<List<Action>> sections() {
        return List.of(List.of(whatWorked(), save()), model.savedSearches().stream().map(this::search).toList(),
                ofTheShown());
    }

    private Action whatWorked() {
        return Action
                .of("what-worked", "What worked for this coffee on this grinder",
                        "Show the shots of the open shot's coffee and grinder that came out well",
                        () -> model.whatWorked().ifPresent(model.filterProperty()::set))
                .unless(() -> model.whatWorked().isPresent() ? Optional.empty()
                        : Optional.of("The open shot names no coffee or grinder."));
    }

    private Action save() {
        String typed = model.search();
        boolean kept = model.savedSearches().contains(typed);
        return Action
                .of("save-search",
                        typed.isEmpty() ? "Keep a search: type one first"
                                : (kept ? "Forget “" : "Keep “") + typed + "”",
                        "Searches that are kept are listed in the rack's menu", model::saveSearch)
                .unless(() -> typed.isEmpty() ? Optional.of("Type a search into the rack's filter first.")
                        : Optional.empty());
    }

    private Action search(String query) {
        return Action.of("search-" + query, query, "Filter the rack by this kept search",
                () -> model.filterProperty().set(query));
    }

    private List<Action> ofTheShown() {
        List<ShotSummary> shown = model.shown();
        String these = shown.size() == 1 ? "the shot shown" : "the " + shown.size() + " shots shown";
        return List.of(
                Action.of("edit-shown", "Edit " + these + "…", "Change one entry of every shot that the rack shows",
                        () -> actions.edit(shown)),
                Action.of("bin-shown", "Put " + these + " into the bin",
                        "They no longer count anywhere, and can be taken out again", () -> actions.bin(shown)),
                Action.of("open-bin", "Bin…", "What was put away, to take out again", actions::openBin));
    }
}
