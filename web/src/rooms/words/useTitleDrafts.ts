import { useCallback, useState } from "react";
import type { Title, TitleChange } from "../../api/client";

/** What of a title is to be otherwise. */
export type Draft = Omit<Partial<TitleChange>, "id">;

/** A change that was sent and is not seen in the title yet. */
interface Sent {
  id: string;
  to: Draft;
  /** The film's revision that has it; null until that is known. */
  revision: number | null;
}

/**
 * What is tried of the chosen title, over what was sent of it before and is not answered yet: so
 * that one change after another is made of the title as it will be, however late the answers are.
 *
 * @param seen the revision the titles are of
 * @param change sends a change; answers the revision that has it, or null if it was refused
 */
export function useTitleDrafts(
  title: Title | undefined,
  seen: number,
  change: (id: string, to: Draft) => Promise<number | null>,
) {
  const [tried, setTried] = useState<Draft | null>(null);
  const [sent, setSent] = useState<readonly Sent[]>([]);
  const isUnseen = ({ revision }: Sent) => revision === null || revision > seen;
  const mine = sent.filter((s) => isUnseen(s) && s.id === title?.id).map(({ to }) => to);
  const coming = mine.length > 0 ? merged(mine) : null;

  /** Sends a change; it stays to be seen until the title shows it. */
  const keep = (to: Draft) => {
    if (!title) return;
    const one: Sent = { id: title.id, to, revision: null };
    setTried(null);
    setSent((now) => [...now.filter(isUnseen), one]);
    void change(title.id, to).then((revision) =>
      setSent((now) =>
        now.flatMap((s) => (s !== one ? [s] : revision === null ? [] : [{ ...s, revision }])),
      ),
    );
  };
  return {
    /** The title with what was sent of it. */
    title: title && coming ? asSent(title, coming) : title,
    /** What was sent and what is tried, together; null if all is seen. */
    draft: tried ? merged([...mine, tried]) : coming,
    attempt: setTried,
    giveUp: useCallback(() => setTried(null), []),
    keep,
  };
}

const merged = (drafts: readonly Draft[]): Draft => Object.assign({}, ...drafts) as Draft;

/** A title with a change that says nothing of its boxes, which are each of a shape. */
const asSent = (title: Title, { words, lettering, movement, layer, picture }: Draft): Title => ({
  ...title,
  ...(words && { words }),
  ...(lettering && { lettering }),
  ...(movement && { movement }),
  ...(layer != null && { layer }),
  ...(picture != null && { picture: picture || null }),
});
