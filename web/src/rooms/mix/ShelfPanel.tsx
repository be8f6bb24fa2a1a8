import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import OutlinedInput from "@mui/material/OutlinedInput";
import { styled } from "@mui/material/styles";
import { useRef } from "react";
import type { Film, Production, ShelfSound } from "../../api/client";
import {
  soundUrl,
  useGetSounds,
  useSounds,
  type SoundKind,
  type SoundSearch,
} from "../../api/sounds";
import { useSize } from "../../parts/useSize";
import { ink } from "../../theme";
import { useWindow } from "../score/useWindow";
import { SoundOutline } from "./SoundOutline";
import { hear } from "./hearing";

/** A row of the shelf is so many pixels high. */
const ROW = 32;

interface Props {
  production: Production;
  film: Film;
  search: SoundSearch;
  onSearch: (to: SoundSearch) => void;
  picked: number | null;
  onPick: (sound: ShelfSound) => void;
  onLay: (sound: ShelfSound) => void;
}

const KINDS: readonly { kind: SoundKind | null; name: string }[] = [
  { kind: null, name: "all" },
  { kind: "HIT", name: "hits" },
  { kind: "BED", name: "beds" },
  { kind: "RISER", name: "risers" },
  { kind: "MOVE", name: "moves" },
];

/** The shelf: sounds are sought, heard, laid, asked for and brought in. */
export function ShelfPanel({ production, search, onSearch, picked, onPick, onLay }: Props) {
  const found = useSounds(production.id, search).data;
  const { ask, bringIn } = useGetSounds(production.id);
  const file = useRef<HTMLInputElement>(null);
  const sounds = found?.sounds ?? [];
  const [list, size] = useSize("shelf", { width: 375, height: 480 });
  const { seen, onScroll } = useWindow(size.height);
  const first = Math.max(0, Math.floor(seen.top / ROW));
  return (
    <Box sx={{ display: "flex", flexDirection: "column", minHeight: 0, flex: 1 }}>
      <Box sx={{ px: 3, pt: 2, display: "flex", gap: 1 }}>
        <OutlinedInput
          value={search.words}
          placeholder="door, slow creak"
          onChange={(e) => onSearch({ ...search, words: e.target.value, like: null })}
          inputProps={{ "aria-label": "Search sounds" }}
          sx={{ flex: 1, height: 28 }}
        />
        <Button
          disabled={ask.isPending || search.words.trim() === ""}
          title="Has the sound maker make three sounds of these words; say how long, such as 2 s"
          onClick={() => ask.mutate(search.words)}
        >
          {ask.isPending ? "Making\u2026" : "Ask for it"}
        </Button>
        <Button onClick={() => file.current?.click()}>Bring in</Button>
        <input
          ref={file}
          type="file"
          multiple
          hidden
          accept="audio/*"
          aria-label="Sound files"
          onChange={(e) => {
            for (const one of e.target.files ?? []) bringIn.mutate(one);
            e.target.value = "";
          }}
        />
      </Box>
      <Box sx={{ px: 3, py: 1, display: "flex", gap: 1, alignItems: "center", fontSize: 12 }}>
        {KINDS.map(({ kind, name }) => (
          <Button
            key={name}
            size="small"
            aria-pressed={search.kind === kind}
            sx={{
              minHeight: 20,
              minWidth: 0,
              px: 1.5,
              py: 0,
              border: 0,
              bgcolor: search.kind === kind ? ink.thistleWash : "transparent",
              color: search.kind === kind ? ink.thistleDeep : ink.ink2,
            }}
            onClick={() => onSearch({ ...search, kind })}
          >
            {name}
          </Button>
        ))}
        <Box sx={{ flex: 1, textAlign: "right", color: ink.ink3 }}>
          {found && found.made < found.all
            ? `${found.made} of ${found.all} made`
            : search.like !== null
              ? "most alike first"
              : ""}
        </Box>
      </Box>
      <Box
        ref={list}
        onScroll={onScroll}
        sx={{ flex: 1, minHeight: 66, overflow: "auto", borderTop: `1px solid ${ink.rule}` }}
      >
        {sounds.length === 0 && found && (
          <Box sx={{ p: 3, color: ink.ink2 }}>
            Nothing on the shelf fits. Ask for it in words, or bring a file in.
          </Box>
        )}
        {/* A shelf of hundreds: what is not in sight only takes its room. */}
        <div
          style={{ height: sounds.length * ROW, paddingTop: first * ROW, boxSizing: "border-box" }}
        >
          {sounds.slice(first, Math.ceil(seen.bottom / ROW)).map((sound) => (
            <Row
              key={sound.id}
              production={production.id}
              sound={sound}
              chosen={picked === sound.id}
              onPick={() => onPick(sound)}
              onLay={() => onLay(sound)}
            />
          ))}
        </div>
      </Box>
    </Box>
  );
}

function Row(props: {
  production: number;
  sound: ShelfSound;
  chosen: boolean;
  onPick: () => void;
  onLay: () => void;
}) {
  const { production, sound, chosen, onPick, onLay } = props;
  return (
    <RowOf
      role="group"
      aria-label={sound.name}
      onDoubleClick={onLay}
      style={{ background: chosen ? ink.thistleWash : "transparent" }}
    >
      <Plain
        aria-label={`Hear ${sound.name}`}
        onClick={() => {
          onPick();
          hear(soundUrl(production, sound.id));
        }}
        style={{ color: ink.ink2, textAlign: "center" }}
      >
        <svg width={10} height={12} fill="currentColor" aria-hidden>
          <path d="M0 0l10 6l-10 6z" />
        </svg>
      </Plain>
      <Plain
        onClick={onPick}
        title={`${sound.source}${sound.rights ? `, ${sound.rights}` : ""}`}
        style={{ fontWeight: 600, color: chosen ? ink.thistleDeep : ink.ink }}
      >
        {sound.name}
      </Plain>
      <SoundOutline
        outline={sound.outline}
        lands={sound.lands / sound.seconds}
        width={96}
        height={24}
        chosen={chosen}
      />
      <div style={{ textAlign: "right", color: ink.ink2, fontSize: 12 }}>
        {sound.seconds.toFixed(1)} s
      </div>
      <Plain onClick={onLay} style={LAY}>
        Lay
      </Plain>
    </RowOf>
  );
}

/** A row is drawn often: its styles are worked out once. */
const RowOf = styled("div")({
  display: "grid",
  gridTemplateColumns: "26px 1fr 96px 44px 44px",
  alignItems: "center",
  gap: 4,
  padding: "0 8px",
  height: ROW,
  borderBottom: `1px solid ${ink.rule}`,
});

const Plain = styled("button")({
  all: "unset",
  cursor: "pointer",
  overflow: "hidden",
  textOverflow: "ellipsis",
  whiteSpace: "nowrap",
  "&:focus-visible": { outline: `2px solid ${ink.thistle}` },
});

const LAY = {
  boxSizing: "border-box",
  height: 22,
  textAlign: "center",
  border: `1px solid ${ink.edge}`,
  borderRadius: 4,
  background: ink.sheet,
} as const;
