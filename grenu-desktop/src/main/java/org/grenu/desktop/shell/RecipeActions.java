package org.grenu.desktop.shell;

import java.util.List;
import java.util.Optional;
import org.grenu.desktop.action.Action;
import org.grenu.desktop.desk.Workspace;
import org.grenu.desktop.shelf.RecipeViewModel;

/** Makes the open shot a recipe, or lets it start from one. */
record RecipeActions(Bench bench) {

    /** {@return what is possible now, in the order of the recipe menu} */
    List<List<Action>> sections() {
        RecipeViewModel recipes = bench.recipes();
        return List.of(List.of(promote(recipes)), recipes.recipes()
                .stream()
                .map(recipe -> Action
                        .of("start-" + recipe.id(), "Start from “" + recipe.name() + "”",
                                "Fill what is unknown of the open shot with what the recipe asks for",
                                () -> recipes.start(recipe))
                        .unless(this::whyNot))
                .toList());
    }

    private Action promote(RecipeViewModel recipes) {
        return Action
                .of("promote", "Promote to recipe “" + recipes.suggestedName() + "”",
                        "Keep how the open shot was pulled, as a recipe to pull others by",
                        () -> recipes.promote(recipe -> {
                            bench.workspace().set(Workspace.SHELF);
                            bench.shelf().choose(recipe);
                        }))
                .unless(this::whyNot);
    }

    private Optional<String> whyNot() {
        return bench.desk().openProperty().get() == null ? Optional.of(BenchActions.NO_SHOT) : Optional.empty();
    }
}
