/**
 * "Night Post", the demo production: a mail balloon crosses a drowned valley on the longest night.
 * {@link app.latethistle.standins.demo.NightPost} says which takes there are and makes their files.
 */
package app.latethistle.standins.demo;
