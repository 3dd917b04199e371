/** What is read off a simulated shot, with the faults of real instruments. */
package org.grenu.core.rig.instrument;
