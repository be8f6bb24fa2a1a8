import Box from "@mui/material/Box";
import type { Film, Production } from "../../api/client";
import type { Told } from "../../api/masters";
import { fraunces, ink } from "../../theme";
import { FindingRow } from "./FindingRow";

interface Props {
  production: Production;
  film: Film;
  findings: readonly Told[];
  looking: string | null;
  chosen: string | null;
  onChoose: (key: string) => void;
  onMend: (finding: Told, way: number) => void;
  /** Shows where rights are stated. */
  onRights: () => void;
}

/** What must be put right, what to look at and what is fine, side by side. */
export function Checks(props: Props) {
  const { findings, looking } = props;
  const of = (verdict: Told["verdict"]) => findings.filter((f) => f.verdict === verdict);
  const fine = of("FINE");
  return (
    <Box
      component="section"
      aria-label="Checks"
      sx={{
        flex: 1,
        minHeight: 160,
        display: "flex",
        gap: 4,
        px: 4,
        pt: 4,
        pb: 3,
        borderTop: `1px solid ${ink.rule2}`,
      }}
    >
      <Column name="Must be put right" colour={ink.rust} list={of("MUST")} {...props} />
      <Column name="Look at" colour={ink.ink} list={of("LOOK")} {...props} />
      <Box component="section" aria-label="Fine" sx={columnStyle}>
        <Head name="Fine" colour={ink.moss} count={fine.length} />
        <Box sx={{ overflow: "auto", minHeight: 0 }}>
          {looking !== null && (
            <Box aria-live="polite" sx={{ py: 1.5, color: ink.ink2 }}>
              Still {looking} …
            </Box>
          )}
          {fine.map((f) => (
            <Box
              key={f.group + f.key}
              sx={{ display: "flex", gap: 2, py: 1, borderBottom: `1px solid ${ink.rule}` }}
            >
              <Box component="span" aria-hidden sx={{ color: ink.moss }}>
                ✓
              </Box>
              {capital(f.said)}
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  );
}

const columnStyle = { flex: 1, minWidth: 0, display: "flex", flexDirection: "column" } as const;

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function Head({ name, colour, count }: { name: string; colour: string; count: number }) {
  return (
    <Box
      component="h2"
      sx={{
        ...fraunces,
        fontSize: 18,
        fontWeight: 500,
        m: 0,
        color: colour,
        display: "flex",
        borderBottom: `1px solid ${ink.rule2}`,
      }}
    >
      <Box sx={{ flex: 1 }}>{name}</Box>
      <Box sx={{ typography: "body2", color: ink.ink2, alignSelf: "end" }}>{count}</Box>
    </Box>
  );
}

function Column(props: Props & { name: string; colour: string; list: readonly Told[] }) {
  const { name, colour, list, looking, production, film, chosen, onChoose, onMend, onRights } =
    props;
  return (
    <Box component="section" aria-label={name} sx={columnStyle}>
      <Head name={name} colour={colour} count={list.length} />
      <Box sx={{ overflow: "auto", minHeight: 0 }}>
        {list.length === 0 && (
          <Box sx={{ py: 1.5, color: ink.ink2 }}>
            {looking === null ? "Nothing." : "Nothing so far."}
          </Box>
        )}
        {list.map((finding) => (
          <FindingRow
            key={finding.group + finding.key}
            production={production}
            film={film}
            finding={finding}
            chosen={chosen === finding.key}
            onChoose={() => onChoose(finding.key)}
            onMend={(way) => onMend(finding, way)}
            onRights={onRights}
          />
        ))}
      </Box>
    </Box>
  );
}
