import Box from "@mui/material/Box";
import Link from "@mui/material/Link";
import { useEffect, useRef, useState } from "react";
import type { Sheet } from "../../api/client";
import { KeptText } from "../../parts/KeptText";
import { ink } from "../../theme";

type Asset = Sheet["assets"][number];

const KINDS: Record<string, string> = {
  pictures: "pictures",
  song: "song",
  voice: "voice",
  sound: "sounds",
  face: "faces",
};

/** What the film is made of and under what rights; what nobody has said yet comes first. */
export function RightsTable(props: {
  assets: readonly Asset[];
  stating: number;
  onState: (key: string, rights: string) => void;
}) {
  const { assets, stating, onState } = props;
  const table = useRef<HTMLElement>(null);
  useEffect(() => {
    if (stating > 0) table.current?.querySelector("input")?.focus();
  }, [stating]);
  const missing = assets.filter((a) => a.rights === "");
  const stated = assets.filter((a) => a.rights !== "");
  const [all, setAll] = useState(false);
  return (
    <Box ref={table} component="section" aria-label="Sources and rights">
      <Box sx={{ display: "flex", color: ink.ink2, mb: 0.5 }}>
        <Box sx={{ flex: 1 }}>Sources and rights</Box>
        {missing.length > 0 && <Box sx={{ color: ink.rust }}>{missing.length} not stated</Box>}
      </Box>
      {missing.map((asset) => (
        <Row key={asset.key} asset={asset} onState={onState} />
      ))}
      {(all ? stated : summed(stated)).map((asset) => (
        <Row key={asset.key} asset={asset} onState={onState} />
      ))}
      {stated.length > 0 && (
        <Link component="button" type="button" onClick={() => setAll(!all)} sx={{ mt: 1 }}>
          {all ? "Fold them together" : `Show each of ${stated.length}`}
        </Link>
      )}
    </Box>
  );
}

/** Those of a kind and the same rights in one line. */
function summed(assets: readonly Asset[]): Asset[] {
  const groups = new Map<string, Asset[]>();
  for (const asset of assets) {
    const key = `${asset.kind} ${asset.rights}`;
    groups.set(key, [...(groups.get(key) ?? []), asset]);
  }
  return [...groups.entries()].map(([key, group]) => {
    const [first] = group;
    return first && group.length === 1
      ? first
      : {
          key,
          kind: first?.kind ?? "",
          name: group.length <= 2 ? group.map((a) => a.name).join(", ") : `${group.length}`,
          note: "",
          rights: first?.rights ?? "",
        };
  });
}

function Row({ asset, onState }: { asset: Asset; onState: (key: string, to: string) => void }) {
  const own = asset.key.includes(":");
  return (
    <Box
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 2,
        py: 0.5,
        borderTop: `1px solid ${ink.rule}`,
      }}
    >
      <Box sx={{ width: 58, flex: "none", color: ink.ink2 }}>{KINDS[asset.kind] ?? asset.kind}</Box>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        {asset.name}
        {asset.note !== "" && (
          <Box component="span" sx={{ color: ink.ink2 }}>
            , {asset.note}
          </Box>
        )}
      </Box>
      {own ? (
        <KeptText
          hideLabel
          label={`rights of ${asset.name}`}
          placeholder="not stated"
          value={asset.rights}
          most={200}
          onChange={(to) => to.trim() !== asset.rights && onState(asset.key, to.trim())}
          sx={{ width: 124, flex: "none" }}
        />
      ) : (
        <Box sx={{ color: ink.moss }}>{asset.rights}</Box>
      )}
    </Box>
  );
}
