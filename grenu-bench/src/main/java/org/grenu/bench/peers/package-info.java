/** Grenu's side of the measurements beside what a researcher would use instead: {@code grenu-bench/peers}. */
package org.grenu.bench.peers;
