/**
 * What was meant to happen in a shot: steps of pressure or flow, each with how it ends and what is tolerated, and how
 * the shot kept to it. Knows curves, nothing of records.
 */
package org.grenu.core.profile;
