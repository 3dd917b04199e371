/**
 * Benchmarks (JMH) and the maker of large studies to measure with. Results are written to docs/performance.md.
 */
package org.grenu.bench;
