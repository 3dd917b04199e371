/** The fictional laboratory whose shots the application shows, and the study of how well its truth is found again. */
package org.grenu.core.demo;
