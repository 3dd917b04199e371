/**
 * The desk: one study's state and the work that changes it, shared by all view-models. Holds no nodes. Work on the
 * library and on files runs off the interface thread; properties change on it. Front door:
 * {@link org.grenu.desktop.desk.StudyDesk}.
 */
package org.grenu.desktop.desk;
