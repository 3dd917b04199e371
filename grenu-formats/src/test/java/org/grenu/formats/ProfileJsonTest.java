package org.grenu.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.File;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.grenu.core.demo.DemoProfile;
import org.grenu.core.profile.Exit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ProfileJsonTest {

    @ParameterizedTest
    @EnumSource(DemoProfile.class)
    void readsBackTheSame(DemoProfile demo) {
        ProfileJson profile = new ProfileJson(demo.title(), demo.profile());
        assertThat(ProfileJson.read(profile.write())).isEqualTo(profile);
        ProfileJson heated = new ProfileJson(demo.title(), demo.profile().heatedBy(91.5));
        assertThat(ProfileJson.read(heated.write())).isEqualTo(heated);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "{\"format\": | The file is not JSON: line 1.",
            "{\"format\": \"other\"} | The file does not say “format”: “grenu-profile”.",
            "{\"format\": \"grenu-profile\", \"version\": 9} | The file is of version 9 of the form",
            "{\"format\": \"grenu-profile\", \"version\": 1, \"steps\": [{\"holds\": \"heat\"}]} | Step 1 holds “heat”",
            "{\"format\": \"grenu-profile\", \"version\": 1, \"steps\": [{\"holds\": \"flow\", \"to\": \"x\"}]} "
                    + "| Step 1: “to” must be a number.",
            "{\"format\": \"grenu-profile\", \"version\": 1, \"steps\": []} | a profile needs at least one step"})
    void mistakesAreNamed(String text, String message) {
        assertThatThrownBy(() -> ProfileJson.read(text)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageStartingWith(message);
    }

    /** The published schema knows exactly the ways to end a step that the program does. */
    @Test
    void theSchemaKnowsEveryExit() throws IOException {
        JsonNode schema = new ObjectMapper().readTree(new File("../docs/schema/grenu-profile-1.schema.json"));
        List<String> known = new ArrayList<>();
        schema.at("/properties/steps/items/properties/until/items/properties/when/enum")
                .forEach(name -> known.add(name.asText()));
        List<String> kinds = new ArrayList<>();
        for (Exit.Kind kind : Exit.Kind.values()) {
            kinds.add(kind.name().toLowerCase(Locale.ROOT));
        }
        assertThat(known).containsExactlyInAnyOrderElementsOf(kinds);
    }
}
