package org.grenu.library;

/** A file that belongs to a shot; its bytes stay in the library until they are asked for. */
public record Attachment(long id, long shot, String name, long size) {
}
