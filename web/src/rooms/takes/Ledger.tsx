import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { Fragment } from "react";
import type { Production } from "../../api/client";
import { useLedger } from "../../api/queries";
import { NotYet } from "../../parts/NotYet";
import { useNotice } from "../../parts/notice";
import { fraunces, ink } from "../../theme";

/** What takes cost and were good for, what is still awaited, what to ask for again. */
export function Ledger({ production }: { production: Production }) {
  const reading = useLedger(production.id);
  const page = reading.data;
  const tell = useNotice((s) => s.tell);
  if (!page) return <NotYet panel what="The ledger" of={[reading]} />;
  const used = page.services.filter((s) => s.takes > 0 || s.spent > 0 || s.success >= 0);
  const copy = async () => {
    const text = page.retakes.map((r) => `${r.label}: ${r.reason}\n${r.prompt}`).join("\n\n");
    await navigator.clipboard.writeText(text);
    tell("The list of retakes is copied.");
  };
  return (
    <Box sx={{ px: 4, py: 2 }} data-testid="ledger">
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr 1fr", gap: 2, mb: 4 }}>
        <Figure value={page.spent.toFixed(0)} name="credits spent" />
        <Figure
          value={page.costPerUsedSecond < 0 ? "–" : page.costPerUsedSecond.toFixed(1)}
          name="credits a second used"
        />
        <Figure
          value={page.takesPerUsedShot < 0 ? "–" : page.takesPerUsedShot.toFixed(1)}
          name="takes a shot used"
        />
      </Box>
      {used.map((s) => (
        <Box key={s.service} sx={{ py: 2, borderTop: `1px solid ${ink.rule}` }}>
          <Box sx={{ display: "flex" }}>
            <Box sx={{ flex: 1, fontWeight: 600 }}>{s.service}</Box>
            <Box>{s.spent.toFixed(0)} credits</Box>
          </Box>
          <Box sx={{ typography: "body2", color: ink.ink2 }}>
            {s.takes} takes, {s.used} in the film ({s.usedSeconds.toFixed(1)} s);{" "}
            {s.success >= 0 && `${Math.round(100 * s.success)} % came; `}
            waited {Math.round(s.waitedSeconds)} s
          </Box>
        </Box>
      ))}
      <Head name="What the allowance still buys" />
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr auto auto", columnGap: 4, rowGap: 1 }}>
        {page.services.map((s) => (
          <Fragment key={s.service}>
            <span>{s.service}</span>
            <Box sx={{ textAlign: "right" }}>{s.left.toFixed(0)} credits</Box>
            <Box sx={{ textAlign: "right", color: ink.ink2 }}>
              {s.buys} requests {s.period === "DAY" ? "today" : "this month"}
            </Box>
          </Fragment>
        ))}
      </Box>
      <Head name="Given out, nothing here yet" />
      {page.awaited.length === 0 && <Box sx={{ color: ink.ink2 }}>Nothing is awaited.</Box>}
      {page.awaited.map((a) => (
        <Box key={a.shot}>
          <b>{a.label}</b> {a.seen}
        </Box>
      ))}
      <Head name="Retakes to ask for">
        {page.retakes.length > 0 && <Button onClick={() => void copy()}>Copy the list</Button>}
      </Head>
      {page.retakes.length === 0 && (
        <Box sx={{ color: ink.ink2 }}>Every shot has a take without a fault.</Box>
      )}
      {page.retakes.map((r) => (
        <Box key={r.shot} sx={{ py: 1 }}>
          <b>{r.label}</b>{" "}
          <Box component="span" sx={{ color: ink.rust }}>
            {r.reason}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

function Figure({ value, name }: { value: string; name: string }) {
  return (
    <Box>
      <Box sx={{ ...fraunces, fontSize: 26, lineHeight: "30px" }}>{value}</Box>
      <Box sx={{ typography: "body2", color: ink.ink2 }}>{name}</Box>
    </Box>
  );
}

function Head({ name, children }: { name: string; children?: React.ReactNode }) {
  return (
    <Box sx={{ display: "flex", alignItems: "center", mt: 5, mb: 1, minHeight: 26 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0, flex: 1 }}>
        {name}
      </Box>
      {children}
    </Box>
  );
}
