import Box from "@mui/material/Box";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useSearchParams } from "react-router";
import { useStory, useStoryChange } from "../../api/story";
import { NotYet } from "../../parts/NotYet";
import { useRoomProduction } from "../../parts/useRoomProduction";
import { ink } from "../../theme";
import { BoardTab } from "./BoardTab";
import { PromptsTab } from "./PromptsTab";
import { ScriptTab } from "./ScriptTab";
import { SheetsTab } from "./SheetsTab";
import { ShotsTab } from "./ShotsTab";
import { SoundsTab } from "./SoundsTab";
import { TimeLine } from "./TimeLine";

const TABS = {
  script: "Script",
  shots: "Shots",
  sheets: "Sheets",
  prompts: "Prompts",
  sounds: "Sounds",
  board: "Storyboard",
};
type Tab = keyof typeof TABS;

/** From an idea to shots that can be asked for. */
export function StoryRoom() {
  const production = useRoomProduction();
  const reading = useStory(production.id);
  const story = reading.data;
  const change = useStoryChange(production.id);
  const [search, setSearch] = useSearchParams();
  const asked = search.get("tab") as Tab | null;
  const tab: Tab = asked && asked in TABS ? asked : "script";

  if (!story) return <NotYet what="The story" of={[reading]} />;
  const props = { production, story, change };
  return (
    <Box sx={{ height: "100%", display: "flex", flexDirection: "column", bgcolor: ink.sheet }}>
      <Box
        sx={{
          minHeight: 42,
          flex: "none",
          px: 4,
          display: "flex",
          alignItems: "center",
          gap: 3,
          borderBottom: `1px solid ${ink.rule}`,
        }}
      >
        <ToggleButtonGroup
          exclusive
          aria-label="Part of the story"
          value={tab}
          onChange={(_, to: Tab | null) => to && setSearch({ tab: to })}
        >
          {Object.entries(TABS).map(([value, name]) => (
            <ToggleButton key={value} value={value}>
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <TimeLine story={story} />
      </Box>
      <Box sx={{ flex: 1, minHeight: 0 }}>
        {tab === "script" && <ScriptTab key={production.id} {...props} />}
        {tab === "shots" && <ShotsTab {...props} />}
        {tab === "sheets" && <SheetsTab key={story.revision} {...props} />}
        {tab === "prompts" && <PromptsTab {...props} />}
        {tab === "sounds" && <SoundsTab {...props} />}
        {tab === "board" && <BoardTab {...props} />}
      </Box>
    </Box>
  );
}
