/**
 * Long campaigns against what is stored and read: kills, full disks, mutated files. They are commands, not tests;
 * what they
 * found stands in docs/validation.md. Knows everything below the window.
 */
package org.grenu.bench.campaign;
