package org.grenu.library;

/** A file as it was imported, byte for byte. */
public record RawFile(String name, byte[] bytes) {
}
