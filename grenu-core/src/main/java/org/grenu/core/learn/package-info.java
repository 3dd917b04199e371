/** Learning a response from a log shot by shot: priors from common practice, predictions, and the next shot. */
package org.grenu.core.learn;
