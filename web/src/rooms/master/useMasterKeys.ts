import { useNavigate } from "react-router";
import type { Film, Production } from "../../api/client";
import type { Told } from "../../api/masters";
import { useKeys } from "../../parts/keys";
import { goTo } from "../score/playing";
import { roomOf } from "./rooms";

interface Props {
  production: Production;
  film: Film;
  /** What must be put right, then what to look at. */
  findings: readonly Told[];
  chosen: string | null;
  onChoose: (key: string) => void;
  onMend: (finding: Told, way: number) => void;
  onRender: () => void;
}

/** The room's keys. */
export function useMasterKeys(props: Props) {
  const { production, film, findings, chosen, onChoose, onMend, onRender } = props;
  const go = useNavigate();
  const at = findings.findIndex((f) => f.key === chosen);
  const here = findings[at];
  const step = (way: 1 | -1) => () => {
    const to = findings[(at + way + findings.length) % Math.max(1, findings.length)];
    if (!to) return false;
    onChoose(to.key);
    return undefined;
  };
  const mend = () => {
    if (!here || here.mends.length === 0) return false;
    onMend(here, 0);
    return undefined;
  };
  const room = () => {
    if (!here || here.room === "MASTER") return false;
    if (here.frame !== null) goTo(film, here.frame);
    void go(`/productions/${production.id}/${roomOf(here.room)}`);
    return undefined;
  };
  useKeys([
    {
      name: "Checks",
      keys: [
        {
          shown: "P, Shift+P",
          says: "the next finding, the one before",
          acts: { P: step(1), "Shift+P": step(-1) },
        },
        { shown: "Enter", says: "put it right", acts: { Enter: mend } },
        { shown: "Shift+Enter", says: "go to its room", acts: { "Shift+Enter": room } },
      ],
    },
    {
      name: "Outputs",
      keys: [{ shown: "R", says: "render what is ticked", acts: { R: onRender } }],
    },
  ]);
}
