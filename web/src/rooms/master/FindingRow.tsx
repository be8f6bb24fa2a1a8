import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useEffect, useRef } from "react";
import { Link as RouterLink } from "react-router";
import { stillUrl, type Film, type Production } from "../../api/client";
import type { Told } from "../../api/masters";
import { ink } from "../../theme";
import { goTo } from "../score/playing";
import { roomName, roomOf } from "./rooms";

interface Props {
  production: Production;
  film: Film;
  finding: Told;
  chosen: boolean;
  onChoose: () => void;
  onMend: (way: number) => void;
  onRights: () => void;
}

/** One thing to put right or to look at: its picture, what is wrong, what mends it, its room. */
export function FindingRow(props: Props) {
  const { production, film, finding, chosen, onChoose, onMend, onRights } = props;
  const row = useRef<HTMLElement>(null);
  useEffect(() => {
    if (chosen) row.current?.scrollIntoView({ block: "nearest" });
  }, [chosen]);
  return (
    <Box
      ref={row}
      component="article"
      aria-label={`${finding.shot} ${finding.said}`.trim()}
      aria-current={chosen}
      onPointerDown={onChoose}
      sx={{
        display: "flex",
        gap: 2,
        py: 1.5,
        borderBottom: `1px solid ${ink.rule}`,
        bgcolor: chosen ? ink.thistleWash : "transparent",
      }}
    >
      {finding.frame !== null && (
        <img
          src={stillUrl(production.id, film.revision, finding.frame)}
          alt=""
          style={{ width: 64, height: 36, objectFit: "cover", flex: "none" }}
        />
      )}
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Box sx={{ lineHeight: "18px" }}>
          {finding.shot !== "" && <b>{finding.shot} </b>}
          {finding.shot === ""
            ? finding.said.charAt(0).toUpperCase() + finding.said.slice(1)
            : finding.said}
        </Box>
        <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 1, pt: 0.5 }}>
          {finding.mends.slice(0, 2).map((mend, way) => (
            <Button
              key={mend.label}
              size="small"
              title={mend.cost}
              sx={{ minHeight: 24, py: 0 }}
              onClick={() => onMend(way)}
            >
              {mend.label}
            </Button>
          ))}
          {finding.check === "RIGHTS" && (
            <Button size="small" sx={{ minHeight: 24, py: 0 }} onClick={onRights}>
              State them
            </Button>
          )}
          <Box sx={{ flex: 1 }} />
          {finding.room !== "MASTER" && (
            <Link
              component={RouterLink}
              to={`/productions/${production.id}/${roomOf(finding.room)}`}
              onClick={() => finding.frame !== null && goTo(film, finding.frame)}
              sx={{ fontWeight: 600, whiteSpace: "nowrap" }}
            >
              {roomName(finding.room)} ›
            </Link>
          )}
        </Box>
      </Box>
    </Box>
  );
}
