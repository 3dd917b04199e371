/**
 * Small studies of two arms whose truth is known, one kind for each way in which something beside the treatment may
 * move: what a comparison claims and what it refuses is counted on them. Knows records and logs, no comparison.
 */
package org.grenu.core.demo.weighing;
