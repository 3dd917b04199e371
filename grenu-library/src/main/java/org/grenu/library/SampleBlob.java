package org.grenu.library;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.zip.DataFormatException;
import java.util.zip.Deflater;
import java.util.zip.Inflater;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;

/** Columns of numbers as bytes: 64-bit floating point, little-endian, zlib-compressed. */
final class SampleBlob {

    private SampleBlob() {
    }

    static byte[] pack(Samples samples) {
        Deflater deflater = new Deflater(Deflater.BEST_SPEED);
        deflater.setInput(plain(samples));
        deflater.finish();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] buffer = new byte[8192];
        while (!deflater.finished()) {
            out.write(buffer, 0, deflater.deflate(buffer));
        }
        deflater.end();
        return out.toByteArray();
    }

    static Samples unpack(byte[] packed, int count) {
        Inflater inflater = new Inflater();
        byte[] plain = new byte[count * Double.BYTES];
        try {
            inflater.setInput(packed);
            inflate(inflater, plain);
        } catch (DataFormatException damaged) {
            throw new LibraryException("A stored curve is damaged. Restore the library from a copy.", damaged);
        } finally {
            inflater.end();
        }
        return samples(plain, count);
    }

    private static void inflate(Inflater inflater, byte[] plain) throws DataFormatException {
        int read = 0;
        while (read < plain.length) {
            int step = inflater.inflate(plain, read, plain.length - read);
            if (step == 0) {
                throw new LibraryException(
                        "A stored curve is shorter than it should be. Restore the library from a copy.");
            }
            read += step;
        }
    }

    private static Samples samples(byte[] plain, int count) {
        double[] values = new double[count];
        ByteBuffer.wrap(plain).order(ByteOrder.LITTLE_ENDIAN).asDoubleBuffer().get(values);
        return Samples.of(values);
    }

    /** {@return a fingerprint of the samples, the same whatever file they came from} */
    static String digest(ShotLog log) {
        try {
            MessageDigest sha = MessageDigest.getInstance("SHA-256");
            sha.update(plain(log.time()));
            log.channels().forEach((channel, samples) -> {
                sha.update(channel.key().getBytes(StandardCharsets.UTF_8));
                sha.update(plain(samples));
            });
            return HexFormat.of().formatHex(sha.digest());
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static byte[] plain(Samples samples) {
        ByteBuffer buffer = ByteBuffer.allocate(samples.size() * Double.BYTES).order(ByteOrder.LITTLE_ENDIAN);
        for (int i = 0; i < samples.size(); i++) {
            buffer.putDouble(Double.isNaN(samples.get(i)) ? Double.NaN : samples.get(i));
        }
        return buffer.array();
    }
}
