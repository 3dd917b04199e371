package org.grenu.formats.exchange;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.grenu.core.curve.Channel;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.strength.Reading;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;

/** What one row of a package's tables says. A row that says what cannot be is refused, in words. */
final class PackageRows {

    private static final ObjectMapper JSON = new ObjectMapper();

    private PackageRows() {
    }

    static int number(NamedCsvRecord row, String column) {
        int number = Integer.parseInt(row.getField(column).strip());
        if (number < 1) {
            throw new RefusedEntry("“" + column + "” must be 1 or more, is " + number + ".");
        }
        return number;
    }

    static int optionalNumber(NamedCsvRecord row, String column) {
        return row.getField(column).isBlank() ? 0 : number(row, column);
    }

    static Entries entries(ShelfKind kind, NamedCsvRecord row) {
        Entries entries = Entries.NONE;
        for (Field field : kind.fields()) {
            entries = entries.with(field, row.findField(field.key()).orElse(""));
        }
        return entries;
    }

    static Reading reading(NamedCsvRecord row) {
        String filtered = row.getField("filtered");
        return new Reading(DecimalText.parse(row.getField("value")).orElseThrow(),
                DecimalText.parse(row.getField("time_s")), DecimalText.parse(row.getField("sample_c")),
                DecimalText.parse(row.getField("prism_c")),
                filtered.isBlank() ? Optional.empty() : Optional.of(filtered.equals("yes")));
    }

    static ShotRow shot(NamedCsvRecord row, String readings) {
        ShotRecord record = ShotRecord.EMPTY;
        for (RecordField field : RecordField.values()) {
            String text = field == RecordField.READINGS
                    ? readings
                    : row.findField(field.key()).orElse("");
            if (!text.isBlank()) {
                record = record.with(field, text);
            }
        }
        String extras = row.findField(PackageTables.EXTRAS).orElse("");
        try {
            Map<String, String> own = extras.isBlank() ? Map.of()
                    : JSON.readValue(extras, new TypeReference<TreeMap<String, String>>() {});
            for (Map.Entry<String, String> entry : own.entrySet()) {
                record = record.withExtra(entry.getKey(), entry.getValue());
            }
        } catch (JsonProcessingException broken) {
            throw new RefusedEntry("The own entries are not a JSON object (" + broken.getOriginalMessage() + ").");
        }
        List<Channel> channels = new ArrayList<>();
        String named = row.getField(PackageTables.CHANNELS);
        for (String key : named.split(" ")) {
            Channel.find(key).ifPresent(channels::add);
        }
        if (channels.isEmpty() && !named.isBlank()) {
            throw new RefusedEntry("“" + PackageTables.CHANNELS + "” names no channel that is known.");
        }
        return new ShotRow(ShotState.find(row.findField(PackageTables.STATE).orElse("")).orElse(ShotState.RECORDED),
                record,
                channels, row.getField(PackageTables.RAW_NAME), row.getField(PackageTables.RAW_FILE));
    }
}
