/**
 * Subjects that are cut out of takes: {@link app.latethistle.server.subject.SubjectController}
 * takes what a person drew, {@link app.latethistle.server.subject.CutSubject} makes the file that
 * says how opaque the subject is, and the take keeps it.
 */
package app.latethistle.server.subject;
