/**
 * Open formats that others read and write.
 *
 * <pre>{@code
 * CubeText.of("warmer", Grading.of(correction), 33);        // a .cube file
 * CdlText.decision("warmer", correction.cdl());             // a .cdl file with one correction
 * }</pre>
 */
package app.latethistle.core.interchange;
