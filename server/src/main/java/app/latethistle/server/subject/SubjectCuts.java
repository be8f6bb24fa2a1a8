package app.latethistle.server.subject;

import app.latethistle.server.material.TakeWorks;

/** The subjects that are being cut out, and those that could not be. */
interface SubjectCuts extends TakeWorks<SubjectCutRow> {}
