import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import LinearProgress from "@mui/material/LinearProgress";
import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import {
  takeFrameUrl,
  type Film,
  type Pace,
  type Production,
  type Proposal,
} from "../../api/client";
import { useProposals, useSongs } from "../../api/queries";
import { plural } from "../../parts/words";
import { fraunces, ink } from "../../theme";
import { FreePace, SongPace } from "./PaceStrip";

interface Props {
  production: Production;
  film: Film;
  onTake: (everything: boolean, pool: boolean, pace: Pace) => void;
  onClose: () => void;
}

const MEANING: Record<Pace, string> = {
  CALM: "shots of like lengths, cuts on downbeats",
  EVEN: "somewhat shorter shots where the music is strong",
  BRISK: "quick cuts in strong parts, on any beat or between; may end a seventh sooner",
};

/** Three ways to cut the film, each drawn whole, one of which can be taken. */
export function Proposals({ production, film, onTake, onClose }: Props) {
  const [everything, setEverything] = useState(film.shots.length === 0);
  const [pool, setPool] = useState(false);
  const { data: proposals, error } = useProposals(production.id, film.revision, everything, pool);
  const song = useSongs(production.id).data?.find((s) => s.id === film.clock.song);
  const longest = Math.max(1, ...(proposals ?? []).map((q) => q.length));
  const locked = film.shots.filter((s) => s.locked).length;
  return (
    <Dialog open onClose={onClose} maxWidth={false} aria-labelledby="proposals">
      <Box sx={{ width: 1080, p: 5, bgcolor: ink.sheet }}>
        <Box sx={{ display: "flex", alignItems: "baseline", gap: 3, mb: 3 }}>
          <Box component="h2" id="proposals" sx={{ typography: "h1", m: 0 }}>
            Three ways to cut it
          </Box>
          <Box sx={{ color: ink.ink2 }}>
            {locked > 0
              ? `${plural(locked, "locked shot")} ${locked === 1 ? "stays" : "stay"} where ${locked === 1 ? "it is" : "they are"}; nothing is changed until you choose`
              : "nothing is changed until you choose"}
          </Box>
          <Box sx={{ flex: 1 }} />
          <ToggleButtonGroup
            exclusive
            aria-label="Order of the shots"
            value={pool}
            onChange={(_, to: boolean | null) => to !== null && setPool(to)}
          >
            <ToggleButton value={false} title="The shots stay in their order">
              in order
            </ToggleButton>
            <ToggleButton
              value
              title="The planner chooses which are seen and when: lively pictures where the music is strong, neighbours that differ, motion carried on"
            >
              in any order
            </ToggleButton>
          </ToggleButtonGroup>
          {film.outside.length > 0 && film.shots.length > 0 && (
            <FormControlLabel
              control={
                <Switch
                  size="small"
                  checked={everything}
                  onChange={(e) => setEverything(e.target.checked)}
                />
              }
              label={`with the ${plural(film.outside.length, "shot")} left out`}
            />
          )}
        </Box>
        {proposals && song && song.sections.length > 1 && (
          <SongPace
            production={production}
            film={film}
            song={song}
            longest={longest}
            width={WIDTH}
          />
        )}
        {proposals && film.clock.frames.length === 0 && (
          <FreePace production={production} film={film} longest={longest} width={WIDTH} />
        )}
        {!proposals && !error && (
          <Box sx={{ minHeight: 420 }} role="status">
            <Box sx={{ color: ink.ink2, mb: 2 }}>
              {pool ? "Trying orders and cuts …" : "Trying cuts …"}
            </Box>
            <LinearProgress aria-label="Working out ways to cut it" sx={{ height: 4 }} />
          </Box>
        )}
        {error && <Box sx={{ color: ink.rust }}>{error.message}</Box>}
        {proposals?.map((p) => (
          <Row
            key={p.pace}
            proposal={p}
            longest={longest}
            production={production}
            film={film}
            pool={pool}
            onTake={() => onTake(everything, pool, p.pace)}
          />
        ))}
        <Box sx={{ display: "flex", justifyContent: "flex-end", mt: 4 }}>
          <Button onClick={onClose}>Leave it as it is</Button>
        </Box>
      </Box>
    </Dialog>
  );
}

interface RowProps {
  proposal: Proposal;
  longest: number;
  production: Production;
  film: Film;
  pool: boolean;
  onTake: () => void;
}

/** How far a film may be from the best, in shots that are half or twice as long as they should be. */
function overBound({ cost, bound }: Proposal): string {
  const shots = (cost - bound) / HALF_AS_LONG;
  return shots < 0.05
    ? "the best there can be"
    : `at most ${shots.toFixed(1)} misjudged shots from the best`;
}

/** What the planner counts for a shot of half or twice its length: the square of ln 2. */
const HALF_AS_LONG = 0.48;

const WIDTH = 1040;
const HEIGHT = 62;

function Row({ proposal, longest, production, film, pool, onTake }: RowProps) {
  const fps = production.framesPerSecond;
  const name = proposal.pace.toLowerCase();
  const cuts = proposal.shots.length - 1;
  const lengths = proposal.shots.map((s) => (s.end - s.start) / fps);
  const facts = [
    `${(proposal.length / fps).toFixed(1)} s`,
    `${cuts} cuts: ${proposal.downbeats} on downbeats, ${proposal.beats} on beats` +
      (proposal.words > 0 ? `, ${proposal.words} on words` : ""),
    `shots ${Math.min(...lengths).toFixed(1)} to ${Math.max(...lengths).toFixed(1)} s`,
    ...(pool ? [overBound(proposal)] : []),
    ...(film.shots.length > 0 ? [`${plural(proposal.moved, "shot")} would move`] : []),
  ];
  return (
    <Box component="section" aria-label={name} sx={{ borderTop: `1px solid ${ink.rule}`, py: 3 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 3, mb: 1.5 }}>
        <Box sx={{ ...fraunces, fontSize: 17, fontStyle: "italic", color: ink.thistleDeep }}>
          {name}
        </Box>
        <Box sx={{ color: ink.ink2 }}>
          {proposal.like === null
            ? MEANING[proposal.pace]
            : `cuts as the ${proposal.like.toLowerCase()} one does: these shots leave no other way`}
        </Box>
        <Box sx={{ flex: 1 }} />
        <Button
          variant={proposal.like === null ? "contained" : "text"}
          color="primary"
          onClick={onTake}
        >
          Take the {name} cut
        </Button>
      </Box>
      <svg width={WIDTH} height={HEIGHT} role="img" aria-label={`the ${name} cut`}>
        {proposal.shots.map((s) => {
          const x = (s.start / longest) * WIDTH;
          const width = Math.max(1, ((s.end - s.start) / longest) * WIDTH - 2);
          return (
            <g key={s.shotId}>
              <svg x={x} width={width} height={HEIGHT}>
                <rect width="100%" height="100%" fill={ink.well} />
                <image
                  href={takeFrameUrl(production.id, s.takeId, s.in + (s.end - s.start) / 2, 144)}
                  width="100%"
                  height="100%"
                  preserveAspectRatio="xMidYMid slice"
                />
              </svg>
              {width > 26 && (
                <g transform={`translate(${x + 3} 3)`}>
                  <rect width={s.label.length * 6.6 + 6} height={15} rx={2} fill="#000000aa" />
                  <text x={3} y={11.5} fontSize={12} fill="#fff">
                    {s.label}
                  </text>
                </g>
              )}
            </g>
          );
        })}
      </svg>
      <Box sx={{ display: "flex", gap: 5, typography: "body2", color: ink.ink2, mt: 1 }}>
        {facts.map((fact) => (
          <span key={fact}>{fact}</span>
        ))}
        {proposal.insideWords > 0 && (
          <Box component="span" sx={{ color: ink.rust }}>
            {plural(proposal.insideWords, "cut")} inside words
          </Box>
        )}
        {proposal.leftOut.length > 0 && (
          <Box component="span" sx={{ color: pool ? ink.ink2 : ink.rust }}>
            {pool ? "without" : "no room for"} {proposal.leftOut.join(", ")}
          </Box>
        )}
      </Box>
    </Box>
  );
}
