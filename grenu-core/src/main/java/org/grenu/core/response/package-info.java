/**
 * What can be asked about shots and what it can be explained by: responses, variables, the basis on which shots stand
 * together,
 * and every characteristic that may have differed beside. Plans, trials, cups and comparisons use the same ones.
 */
package org.grenu.core.response;
