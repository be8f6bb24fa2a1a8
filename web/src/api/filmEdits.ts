import type { Film } from "./client";
import type { paths } from "./generated/schema";

/** Values that may be null may be left out. */
type Given<T> = { [K in keyof T as null extends T[K] ? never : K]: T[K] } & {
  [K in keyof T as null extends T[K] ? K : never]?: T[K];
};

export type FilmPath<Name extends string> = `/api/productions/{productionId}/film/${Name}`;

/** The names of the edits, and the values each takes. */
type Edits = {
  [P in keyof paths as P extends FilmPath<infer Name> ? Name : never]: paths[P] extends {
    post: { requestBody: { content: { "application/json": infer Body } } };
  }
    ? Body extends { revision: number }
      ? Given<Omit<Body, "revision">>
      : never
    : never;
};
export type EditName = { [N in keyof Edits]: [Edits[N]] extends [never] ? never : N }[keyof Edits];
export type EditValues<Name extends EditName> = Edits[Name];

/**
 * An edit of the film: its name in the API and its values, without the revision. Values, or the
 * whole edit, that are a function are worked out when the edits before have been answered; null
 * means no edit.
 */
export type FilmEdit = {
  [Name in EditName]: {
    name: Name;
    values?: Edits[Name] | ((film: Film) => Edits[Name] | null);
  };
}[EditName];
