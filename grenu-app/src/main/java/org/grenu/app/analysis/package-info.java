/**
 * What is measured of shots, once, wherever it is shown. The front door is {@link
 * org.grenu.app.analysis.ShotAnalyses}. For any
 * thread.
 */
package org.grenu.app.analysis;
