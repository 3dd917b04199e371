package org.grenu.bench.campaign;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;

/** Changes of an input, a few bytes or words at a time. */
final class Mutation {

    private static final String[] WORDS = {"1e999", "-1e-999", "NaN", "9".repeat(400), "1E100000000", "\"", "\n",
            "\r\n", ";", "\t", ",", "{", "[", "}", "]", "null", "\\u0000", "#",
            "# grenu shot: 1\n", "time", "pressure", "0x1p3", "2026-02-30T25:61", "∞", "−5", "..", "/", "\uFEFF",
            "=1+1", "--", "'", "%s", "e", "true", ":", "a: b\n", "rule x\n", "when shot_time_s > 3\n"};

    private final Random random;

    Mutation(Random random) {
        this.random = random;
    }

    /** {@return the input changed in a few places, in part by pieces of others that were kept} */
    byte[] of(byte[] from, List<byte[]> kept) {
        boolean archive = from.length > 4 && from[0] == 'P' && from[1] == 'K';
        return archive && random.nextInt(8) > 0 ? inside(from, kept) : outside(from, kept);
    }

    /** One entry of an archive mutated: a change of the packed bytes seldom comes further than the check sums. */
    private byte[] inside(byte[] archive, List<byte[]> kept) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipFile in = ZipFile.builder().setSeekableByteChannel(new SeekableInMemoryByteChannel(archive)).get();
                ZipOutputStream zip = new ZipOutputStream(out)) {
            List<ZipArchiveEntry> entries = Collections.list(in.getEntries());
            int chosen = random.nextInt(Math.max(1, entries.size()));
            for (int i = 0; i < entries.size(); i++) {
                byte[] content = in.getInputStream(entries.get(i)).readAllBytes();
                zip.putNextEntry(new ZipEntry(entries.get(i).getName()));
                zip.write(i == chosen ? outside(content, kept) : content);
                zip.closeEntry();
            }
        } catch (IOException | RuntimeException noLongerAnArchive) {
            return outside(archive, kept);
        }
        return out.toByteArray();
    }

    private byte[] outside(byte[] from, List<byte[]> kept) {
        byte[] bytes = from.clone();
        int changes = 1 + random.nextInt(6);
        for (int i = 0; i < changes && bytes.length > 0; i++) {
            bytes = switch (random.nextInt(7)) {
                case 0 -> flipped(bytes);
                case 1 -> without(bytes);
                case 2 -> with(bytes, WORDS[random.nextInt(WORDS.length)].getBytes(StandardCharsets.UTF_8));
                case 3 -> with(bytes, piece(bytes));
                case 4 -> with(bytes, piece(kept.get(random.nextInt(kept.size()))));
                case 5 -> bytes.length > 40 && random.nextInt(4) == 0
                        ? Arrays.copyOf(bytes, random.nextInt(bytes.length)) : flipped(bytes);
                default -> digit(bytes);
            };
        }
        return bytes;
    }

    private byte[] flipped(byte[] bytes) {
        bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
        return bytes;
    }

    private byte[] digit(byte[] bytes) {
        int at = random.nextInt(bytes.length);
        bytes[at] = (byte) ('0' + random.nextInt(10));
        return bytes;
    }

    private byte[] piece(byte[] bytes) {
        int from = random.nextInt(Math.max(1, bytes.length));
        return Arrays.copyOfRange(bytes, from, Math.min(bytes.length, from + 1 + random.nextInt(120)));
    }

    private byte[] without(byte[] bytes) {
        int from = random.nextInt(bytes.length);
        int to = Math.min(bytes.length, from + 1 + random.nextInt(60));
        byte[] left = new byte[bytes.length - (to - from)];
        System.arraycopy(bytes, 0, left, 0, from);
        System.arraycopy(bytes, to, left, from, bytes.length - to);
        return left;
    }

    private byte[] with(byte[] bytes, byte[] more) {
        int at = random.nextInt(bytes.length + 1);
        byte[] longer = new byte[bytes.length + more.length];
        System.arraycopy(bytes, 0, longer, 0, at);
        System.arraycopy(more, 0, longer, at, more.length);
        System.arraycopy(bytes, at, longer, at + more.length, bytes.length - at);
        return longer;
    }
}
