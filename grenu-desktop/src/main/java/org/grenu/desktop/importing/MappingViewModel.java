package org.grenu.desktop.importing;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicLong;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.grenu.app.importing.SavedMappings;
import org.grenu.app.importing.ShotSource;
import org.grenu.core.record.ShotMeasures;
import org.grenu.desktop.desk.Background;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.figures.read.ReadFigure;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ParsedShot;
import org.grenu.formats.ShotReader;
import org.grenu.formats.mapping.ColumnRule;
import org.grenu.formats.mapping.MappedReader;
import org.grenu.formats.mapping.MappingGuess;
import org.grenu.formats.mapping.MappingJson;
import org.grenu.formats.mapping.ShotSplit;
import org.grenu.formats.mapping.TableMapping;
import org.grenu.formats.mapping.TableShape;

/** A log whose columns are being told: the mapping as it stands, and what it makes of the log. */
public final class MappingViewModel implements AutoCloseable {

    /** A log's text and what its first mapping makes of it. */
    private record Opened(String text, MappingPreview preview) {
    }

    /** So many shots of a file are drawn; all are counted and imported. */
    private static final int MOST_DRAWN = 12;

    private final StudyDesk desk;
    private final ImportViewModel importing;
    private final Background worker;
    private final AtomicLong asked = new AtomicLong();
    private final ReadOnlyObjectWrapper<MappingPreview> preview = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<ShotSource> source = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<TableMapping> taken = new ReadOnlyObjectWrapper<>();
    private String text = "";

    /** Maps logs and hands them to that importer. */
    public MappingViewModel(StudyDesk desk, ImportViewModel importing, Executor interfaceThread) {
        this.desk = desk;
        this.importing = importing;
        this.worker = new Background("grenu-mapping", interfaceThread);
    }

    // Observables

    /** {@return the log being mapped; null while there is none} */
    public ReadOnlyObjectProperty<ShotSource> sourceProperty() {
        return source.getReadOnlyProperty();
    }

    /** {@return what the mapping makes of the log; null until the first guess is there} */
    ReadOnlyObjectProperty<MappingPreview> previewProperty() {
        return preview.getReadOnlyProperty();
    }

    // Actions

    /** Begins with that log: by a kept mapping that fits it, or by a guess. */
    public void open(ShotSource log) {
        preview.set(null);
        source.set(log);
        long ask = asked.incrementAndGet();
        worker.run(() -> {
            String read = ShotReader.text(log.name(), log.read());
            Optional<TableMapping> kept = new SavedMappings(desk.library()).fitting(log.name(), read);
            MappingGuess guess = kept.isPresent()
                    ? new MappingGuess(kept.get(), Map.of(MappingGuess.SHAPE, "as kept in “" + kept.get().name() + "”"),
                            Set.of())
                    : MappingGuess.of(log.name(), read);
            return new Opened(read, made(log.name(), read, guess.mapping(), guess.reasons()));
        }, opened -> {
            if (ask == asked.get()) {
                text = opened.text();
                preview.set(opened.preview());
            }
        }, failure -> {
            if (ask == asked.get()) {
                source.set(null);
            }
            desk.noticeProperty()
                    .set(Notice.failed(
                            failure instanceof ImportFailure || failure instanceof IOException ? failure.getMessage()
                                    : log.name() + " cannot be mapped (" + failure + ")."));
        });
    }

    /** Puts the log away. */
    public void putAway() {
        asked.incrementAndGet();
        taken.set(null);
        source.set(null);
        preview.set(null);
        text = "";
    }

    /** Reads a column otherwise. */
    void change(ColumnRule rule) {
        change(mapping().with(rule));
    }

    /** Tells shots apart otherwise. */
    void change(ShotSplit split) {
        change(mapping().with(split));
    }

    /** Gives the rows that many samples per second, where no column is the time. */
    void change(OptionalDouble rate) {
        change(mapping().with(rate));
    }

    /** Looks for the table elsewhere; its columns are guessed anew. */
    void change(TableShape shape) {
        ShotSource log = source.get();
        String read = text;
        long ask = asked.incrementAndGet();
        worker.run(() -> {
            try {
                MappingGuess guess = MappingGuess.of(log.name(), read, shape);
                return made(log.name(), read, guess.mapping(), guess.reasons());
            } catch (ImportFailure failure) {
                TableMapping empty = new TableMapping("", shape, List.of(), OptionalDouble.empty(), ShotSplit.NONE);
                return new MappingPreview(empty, Map.of(), Map.of(), List.of(), 0, Optional.of(failure.getMessage()));
            }
        }, made -> show(ask, made), desk::failed);
    }

    /** {@return the mapping as it stands} */
    TableMapping mapping() {
        return preview.get().mapping();
    }

    /** {@return the mapping that is to be kept under a name that another one has; null while there is none} */
    ReadOnlyObjectProperty<TableMapping> takenProperty() {
        return taken.getReadOnlyProperty();
    }

    /** Keeps the mapping in the library under that name, unless another one has it: then the user is asked. */
    void keep(String name) {
        TableMapping named = mapping().named(name.strip());
        worker.run(() -> new SavedMappings(desk.library()).keep(named), done -> {
            if (done) {
                kept(named);
            } else {
                taken.set(named);
            }
        }, desk::failed);
    }

    /** Keeps it in the place of the one that has its name. */
    void replaceTaken() {
        TableMapping named = taken.get();
        worker.run(() -> {
            new SavedMappings(desk.library()).replace(named);
            return named;
        }, this::kept, desk::failed);
    }

    /** Keeps it beside the one that has its name, under a name like it. */
    void keepBeside() {
        TableMapping named = taken.get();
        worker.run(() -> {
            SavedMappings saved = new SavedMappings(desk.library());
            TableMapping renamed = named.named(saved.freeName(named.name()));
            saved.replace(renamed);
            return renamed;
        }, this::kept, desk::failed);
    }

    /** Leaves the one that has the name as it is. */
    void leaveTaken() {
        taken.set(null);
    }

    private void kept(TableMapping mapping) {
        taken.set(null);
        desk.noticeProperty()
                .set(Notice.done(
                        "Mapping “" + mapping.name() + "” is kept: logs that it fits are read by it from now on."));
    }

    /** {@return the mapping as a file to share} */
    String asFile(String name) {
        return MappingJson.write(mapping().named(name.strip()));
    }

    /** Imports what the mapping makes of the log and puts it away. */
    void importAll() {
        importing.importMapped(source.get(), mapping());
        putAway();
    }

    @Override
    public void close() {
        worker.close();
    }

    private void change(TableMapping mapping) {
        ShotSource log = source.get();
        String read = text;
        Map<String, String> why = preview.get().reasons();
        long ask = asked.incrementAndGet();
        worker.run(() -> made(log.name(), read, mapping, why), made -> show(ask, made), desk::failed);
    }

    /** What was asked for last is shown. */
    private void show(long ask, MappingPreview made) {
        if (ask == asked.get()) {
            preview.set(made);
        }
    }

    private static MappingPreview made(String file, String text, TableMapping mapping, Map<String, String> reasons) {
        Map<String, String> samples = new LinkedHashMap<>();
        try {
            samples = MappedReader.samples(file, text, mapping.shape());
            List<ParsedShot> shots = MappedReader.readText(file, text, mapping);
            List<ReadFigure> figures = new ArrayList<>();
            for (ParsedShot shot : shots.subList(0, Math.min(MOST_DRAWN, shots.size()))) {
                figures.add(ReadFigure.of(shot.shot(), ShotMeasures.of(shot.shot())));
            }
            return new MappingPreview(mapping, reasons, samples, figures, shots.size(), Optional.empty());
        } catch (ImportFailure failure) {
            return new MappingPreview(mapping, reasons, samples, List.of(), 0, Optional.of(failure.getMessage()));
        }
    }
}
