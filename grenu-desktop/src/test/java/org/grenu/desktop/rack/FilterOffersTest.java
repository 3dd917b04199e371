package org.grenu.desktop.rack;

import static org.assertj.core.api.Assertions.assertThat;

import org.grenu.library.Stored;
import java.util.List;
import java.util.Map;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.DeskFixture;
import org.grenu.desktop.desk.FindingSearch;
import org.grenu.desktop.entry.Suggestions.Offer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class FilterOffersTest extends DeskFixture {

    private FindingSearch found;
    private RackViewModel rack;

    /** The fifth is the first in which something is found. */
    @Override
    protected int shots() {
        return 5;
    }

    @BeforeEach
    void rack() {
        found = new FindingSearch(desk, new Background("found", onInterface::add));
        rack = new RackViewModel(desk, found);
    }

    @AfterEach
    void close() {
        found.close();
    }

    @Test
    void aFieldIsCompletedThenItsValues() {
        assertThat(rack.offers("cof")).contains(new Offer("coffee:", "coffee:"));
        assertThat(rack.offers("ey>20 coffee:her"))
                .containsExactly(new Offer("coffee:\"Lot Heron 14\"", "ey>20 coffee:\"Lot Heron 14\" "));
        assertThat(rack.offers("-profile:gen"))
                .containsExactly(new Offer("-profile:\"Gentle ramp\"", "-profile:\"Gentle ramp\" "));
        assertThat(rack.offers("coffee:\"Lot Her")).as("within quotes a space does not end the word").hasSize(1);
    }

    @Test
    void aValueIsOfferedWithItsField() {
        assertThat(rack.offers("ramp")).extracting(Offer::shown).containsExactly("profile:\"Gentle ramp\"");
        assertThat(rack.offers("burr")).extracting(Offer::shown).containsExactly("grinder:\"G-burr A\"");
    }

    @Test
    void nothingIsOfferedForNothing() {
        assertThat(rack.offers("")).isEmpty();
        assertThat(rack.offers("g")).isEmpty();
        assertThat(rack.offers("coffee:\"lot heron 14\"")).as("it stands there already").isEmpty();
    }

    @Test
    void whatWasFoundIsOfferedByItsName() {
        until(() -> desk.shots().stream().noneMatch(shot -> found.of(shot.id()).isEmpty()) || !found.names().isEmpty());
        String name = found.names().get(0);
        assertThat(rack.offers("finding:" + name.substring(0, 3))).extracting(Offer::shown).contains("finding:" + name);
    }

    /** What nobody can meet is said, with the name that was perhaps meant. */
    @Test
    void aFieldThatIsNoneIsNamed() {
        desk.enterOwn("beans frozen", "yes");
        until(() -> open().written().extras().containsKey("beans frozen"));
        Map.of("temperture:93", "No field is called “temperture”. Did you mean temperature?",
                "-grnid<2", "No field is called “grnid”. Did you mean grind?",
                "unknown:taaste", "No field is called “taaste”. Did you mean taste?",
                "bean_frozen:no", "No field is called “bean_frozen”. Did you mean beans_frozen?",
                "xyzzyx:1", "No field is called “xyzzyx”.",
                "ey>high", "“ey>high” compares with no number.",
                "ey>99 beans_frozen:no coffee:none", "").forEach((typed, said) -> {
                    rack.filterProperty().set(typed);
                    assertThat(rack.misunderstood()).as(typed).isEqualTo(said);
                });
    }

    @Test
    void searchesAreKeptAndForgotten() {
        rack.filterProperty().set("  ey>20 gentle ");
        rack.saveSearch();
        assertThat(rack.savedSearches()).containsExactly("ey>20 gentle");
        until(() -> Stored.settings(desk.library()).getOrDefault("searches", "").equals("ey>20 gentle"));
        restart();
        RackViewModel again = new RackViewModel(desk,
                new FindingSearch(desk, new Background("again", onInterface::add)));
        until(() -> again.savedSearches().equals(List.of("ey>20 gentle")));
        again.filterProperty().set("ey>20 gentle");
        again.saveSearch();
        assertThat(again.savedSearches()).isEmpty();
    }
}
