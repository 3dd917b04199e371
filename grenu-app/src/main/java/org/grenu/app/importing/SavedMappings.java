package org.grenu.app.importing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.entry.FreeName;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.mapping.MappedReader;
import org.grenu.formats.mapping.MappingJson;
import org.grenu.formats.mapping.TableMapping;
import org.grenu.formats.mapping.TableShape;
import org.grenu.library.Library;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The mappings that the user has kept in the library; one that fits a log is used for it. */
public final class SavedMappings {

    private static final Logger LOG = LoggerFactory.getLogger(SavedMappings.class);
    private static final String KEY = "mapping.";

    private final Library library;

    public SavedMappings(Library library) {
        this.library = library;
    }

    /** {@return those that can be read, in the order of their names} */
    public List<TableMapping> all() {
        List<TableMapping> mappings = new ArrayList<>();
        library.read(tx -> tx.settings().all()).forEach((key, text) -> {
            if (key.startsWith(KEY)) {
                try {
                    mappings.add(MappingJson.read(key, text));
                } catch (ImportFailure fromAnotherVersion) {
                    LOG.warn("A kept mapping is passed over: {}", fromAnotherVersion.getMessage());
                }
            }
        });
        return mappings;
    }

    /** {@return whether it is kept: not where another one has that name, which stays as it is} */
    public boolean keep(TableMapping mapping) {
        if (named(mapping.name()).filter(other -> !other.equals(mapping)).isPresent()) {
            return false;
        }
        replace(mapping);
        return true;
    }

    /** Keeps it, in the place of the one with its name, if there is one. */
    public void replace(TableMapping mapping) {
        library.store(tx -> tx.settings().keep(Map.of(KEY + mapping.name(), MappingJson.write(mapping))));
    }

    /** {@return whether it has that name now: not where another one has it} */
    public boolean rename(TableMapping mapping, String name) {
        if (mapping.name().equals(name)) {
            return true;
        }
        if (name.isBlank() || named(name).isPresent()) {
            return false;
        }
        library.store(tx -> tx.settings()
                .keep(Map.of(KEY + mapping.name(), "", KEY + name, MappingJson.write(mapping.named(name)))));
        return true;
    }

    /** Forgets it. */
    public void delete(TableMapping mapping) {
        library.store(tx -> tx.settings().keep(Map.of(KEY + mapping.name(), "")));
    }

    /** {@return a name like that one which no mapping has: “Logger”, “Logger 2”, “Logger 3”, …} */
    public String freeName(String like) {
        List<String> taken = all().stream().map(TableMapping::name).toList();
        return FreeName.of(like, taken::contains);
    }

    private Optional<TableMapping> named(String name) {
        return all().stream().filter(mapping -> mapping.name().equals(name)).findFirst();
    }

    /** {@return the first kept mapping by which that log can be read} */
    public Optional<TableMapping> fitting(String file, String text) {
        String start = text.stripLeading();
        boolean json = start.startsWith("{") || start.startsWith("[");
        for (TableMapping mapping : all()) {
            if (json == mapping.shape() instanceof TableShape.Json) {
                try {
                    if (mapping.fits(MappedReader.headings(file, text, mapping.shape()))) {
                        return Optional.of(mapping);
                    }
                } catch (ImportFailure doesNotFit) {
                    LOG.debug("Mapping {} does not fit {}", mapping.name(), file);
                }
            }
        }
        return Optional.empty();
    }
}
