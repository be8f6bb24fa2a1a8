import type { Placed, Production, Take } from "../api/client";
import { SubjectDialog, type Use } from "./SubjectDialog";

/** The subject of a shot's take, first seen in the middle of what the shot shows of it. */
export function SubjectOfShot(props: {
  production: Production;
  shot: Placed;
  take: Take;
  uses: readonly Use[];
  onClose: () => void;
}) {
  const { production, shot, take, uses, onClose } = props;
  return (
    <SubjectDialog
      production={production}
      name={`${shot.label}, take ${take.number}`}
      take={take}
      at={shot.in + Math.floor((shot.end - shot.start) / 2)}
      uses={uses}
      onClose={onClose}
    />
  );
}
