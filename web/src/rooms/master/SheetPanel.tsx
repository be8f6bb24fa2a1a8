import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import Chip from "@mui/material/Chip";
import FormControlLabel from "@mui/material/FormControlLabel";
import Link from "@mui/material/Link";
import OutlinedInput from "@mui/material/OutlinedInput";
import { useState } from "react";
import {
  api,
  under,
  type Film,
  type Production,
  type Receipt,
  type Sheet,
  type SheetForm,
} from "../../api/client";
import { useHandOver, useWriteSheet } from "../../api/masters";
import { KeptText } from "../../parts/KeptText";
import { Labelled } from "../../parts/Labelled";
import { useNotice } from "../../parts/notice";
import { face, ink } from "../../theme";
import { RightsTable } from "./RightsTable";
import { StyleLine } from "./StyleLine";
import { ThumbnailChoice } from "./ThumbnailChoice";

/** What publishing needs beside the file. */
export function SheetPanel(props: {
  production: Production;
  film: Film;
  release: Sheet;
  /** How often it was asked where rights are stated. */
  stating: number;
}) {
  const { production, film, release, stating } = props;
  const { sheet } = release;
  const write = useWriteSheet(production.id);
  const [tag, setTag] = useState("");
  const change = (to: Partial<SheetForm>) => write.mutate({ ...sheet, ...to });
  const addTag = (more: string) => {
    if (more.trim() !== "") change({ tags: [...sheet.tags, more.trim()] });
    setTag("");
  };
  return (
    <Box component="section" aria-label="Release sheet" sx={{ p: 4, display: "grid", gap: 3 }}>
      <Box component="h1" sx={{ typography: "h1", m: 0 }}>
        Release sheet
      </Box>
      <StyleLine production={production} film={film} />
      <KeptText
        counted
        label="Title"
        value={sheet.title}
        most={release.mostTitle}
        onChange={(title) => change({ title })}
      />
      <KeptText
        counted
        label="Description"
        rows={3}
        sx={{ p: "4px 0" }}
        value={sheet.description}
        most={release.mostDescription}
        onChange={(description) => change({ description })}
      />
      <Box>
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={sheet.chapters}
              onChange={(e) => change({ chapters: e.target.checked })}
            />
          }
          label="Chapters of the story’s places, under it and in the file"
        />
        {sheet.chapters && (
          <Box sx={{ fontFamily: face.mono, fontSize: 12, whiteSpace: "pre-line", pl: 7 }}>
            {release.chapters}
          </Box>
        )}
        {sheet.chapters && release.chapterFault !== null && (
          <Box sx={{ color: ink.rust, pl: 7 }}>{release.chapterFault}.</Box>
        )}
      </Box>
      <Labelled label="Tags">
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" }}>
          {sheet.tags.map((one) => (
            <Chip
              key={one}
              size="small"
              label={one}
              onDelete={() => change({ tags: sheet.tags.filter((t) => t !== one) })}
            />
          ))}
          <OutlinedInput
            value={tag}
            placeholder="another"
            inputProps={{ "aria-label": "Another tag", maxLength: 60, list: "suggested-tags" }}
            onChange={(e) => setTag(e.target.value)}
            onKeyDown={(e) => e.key === "Enter" && addTag(tag)}
            onBlur={() => addTag(tag)}
            sx={{ width: 110 }}
          />
          <datalist id="suggested-tags">
            {release.suggested.map((one) => (
              <option key={one} value={one} />
            ))}
          </datalist>
        </Box>
      </Labelled>
      <ThumbnailChoice
        production={production}
        film={film}
        chosen={sheet.thumbnail}
        onChoose={(thumbnail) => change({ thumbnail })}
      />
      <Box>
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={sheet.generated}
              onChange={(e) => change({ generated: e.target.checked })}
            />
          }
          label={release.disclosure}
        />
        <Box sx={{ color: ink.ink2, pl: 7 }}>
          Goes into the description and into the file. MP4, MOV and the thumbnail carry it signed as
          well (content credentials, C2PA), with a key of this machine: readers see whether a file
          is as it left, and not who made it.
        </Box>
      </Box>
      {release.hints.length > 0 && (
        <Labelled label="Ask yourself before it is published">
          <Box component="ul" sx={{ m: 0, pl: 4, display: "grid", gap: 1 }}>
            {release.hints.map((hint) => (
              <li key={hint.question}>
                {hint.question}{" "}
                <Box component="span" sx={{ color: ink.ink2 }}>
                  The words “{hint.because.join("”, “")}” raise it.
                </Box>
              </li>
            ))}
          </Box>
        </Labelled>
      )}
      <RightsTable
        assets={release.assets}
        stating={stating}
        onState={(key, rights) => change({ rights: { ...sheet.rights, [key]: rights } })}
      />
      <Leave production={production} />
      <Elsewhere production={production} />
    </Box>
  );
}

/** The film as other programs read it. */
function Elsewhere({ production }: { production: Production }) {
  const path = under(production.id);
  return (
    <Box sx={{ color: ink.ink2 }}>
      The film for elsewhere: <Link href={`${path}/film/timeline.otio`}>OTIO timeline</Link>,{" "}
      <Link href={`${path}/film/cut.edl`}>edit list</Link>,{" "}
      <Link href={`${path}/film/shots.csv`}>shots</Link>,{" "}
      <Link href={`${path}/film/cues.csv`}>cues</Link>,{" "}
      <Link href={`${path}/film/formats.zip`} download>
        all of these with beats, markers, captions and looks
      </Link>
      , and{" "}
      <Link href={`${path}/film.json`} download>
        the film as a document
      </Link>
      , which <Box component="code">./thistle render</Box> draws in a terminal.
    </Box>
  );
}

/** The ways the sheet leaves. */
function Leave({ production }: { production: Production }) {
  const tell = useNotice((s) => s.tell);
  const handOver = useHandOver(production.id);
  const [receipt, setReceipt] = useState<Receipt | null>(null);
  const path = `${under(production.id)}/release`;
  const copy = async () => {
    const { data } = await api.GET("/api/productions/{productionId}/release/sheet.txt", {
      params: { path: { productionId: production.id } },
      parseAs: "text",
    });
    await navigator.clipboard.writeText(data ?? "");
    tell("The sheet is on the clipboard.", "said");
  };
  return (
    <Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2 }}>
        <Button onClick={() => void copy()}>Copy it all</Button>
        <Button href={`${path}/sheet.txt`} download>
          As text
        </Button>
        <Button href={`${path}/sheet.pdf`} download>
          As PDF
        </Button>
        <Button href={`${path}/sheet.json`} download>
          As JSON
        </Button>
        <Button
          title="A stand-in of ours: nothing leaves this machine"
          onClick={() => handOver.mutate(undefined, { onSuccess: (said) => setReceipt(said) })}
        >
          Hand to the desk
        </Button>
      </Box>
      {receipt && (
        <Box
          aria-live="polite"
          sx={{ mt: 2, color: receipt.taken ? ink.moss : ink.rust, display: "grid", gap: 0.5 }}
        >
          <b>{receipt.taken ? "The desk took it." : "The desk did not take it."}</b>
          {receipt.said.map((one) => (
            <span key={one}>{one}</span>
          ))}
        </Box>
      )}
    </Box>
  );
}
