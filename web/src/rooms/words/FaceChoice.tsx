import { useState } from "react";
import { useWordChoices } from "../../api/words";
import { Choice } from "../../parts/Choice";
import { OwnFaces } from "./OwnFaces";

const BRING = "\0bring in";

/** The family that words are set in; one of the person's own can be brought in on the way. */
export function FaceChoice(props: {
  label: string;
  value: string;
  /** Whether a picture may stand in place of the words. */
  logotypes?: boolean;
  onChange: (family: string) => void;
}) {
  const { label, value, logotypes = true, onChange } = props;
  const all = useWordChoices().data?.families ?? [];
  const families = logotypes ? all : all.filter((f) => !f.logotype);
  const [bringing, setBringing] = useState(false);
  const known = families.some((f) => f.name === value);
  return (
    <>
      <Choice
        label={label}
        value={value}
        of={[
          ...(known ? [] : [[value, value] as const]),
          ...families.map((f) => [f.name, `${f.name}, ${f.character}`] as const),
          [BRING, "Your own faces…"],
        ]}
        onChange={(to) => (to === BRING ? setBringing(true) : onChange(to))}
      />
      {bringing && (
        <OwnFaces
          onChoose={(family) => {
            setBringing(false);
            onChange(family);
          }}
          onClose={() => setBringing(false)}
        />
      )}
    </>
  );
}
