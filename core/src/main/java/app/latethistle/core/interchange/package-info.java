/**
 * Open formats that others read and write.
 *
 * <pre>{@code
 * CubeText.of("warmer", Grading.of(correction), 33);        // a .cube file
 * CubeText.parse(text);                                     // a table that was made elsewhere
 * CdlText.decision("warmer", correction.cdl());             // a .cdl file with one correction
 * CdlText.parse(xml).get(0).list();                         // the first of a .cc, .ccc or .cdl file
 * }</pre>
 */
package app.latethistle.core.interchange;
