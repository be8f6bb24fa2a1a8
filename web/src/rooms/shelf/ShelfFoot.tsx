import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answerTo, api } from "../../api/client";
import { keys } from "../../api/queries";
import { useNotice } from "../../parts/notice";
import { fileSize } from "../../parts/words";
import { ink } from "../../theme";
import { readAnew } from "../../api/readAnew";

// Under the shelf's own: what is removed from it leaves something behind.
const STORAGE = [...keys.shelf, "storage"] as const;

/** What no production uses any more, and what a person should know of this machine. */
export function ShelfFoot() {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const storage = useQuery({
    queryKey: STORAGE,
    queryFn: () => answerTo(api.GET("/api/storage")),
    refetchOnMount: "always",
  }).data;
  const machine = useQuery({
    queryKey: ["machine"],
    queryFn: () => answerTo(api.GET("/api/machine")),
    staleTime: Infinity,
  }).data;
  const clear = useMutation({
    mutationFn: () => answerTo(api.POST("/api/storage/clear")),
    onSuccess: () => tell(`${fileSize(storage?.bytes ?? 0)} were cleared.`),
    onError: (error) => tell(error.message, "wrong"),
    onSettled: () => readAnew(client, STORAGE),
  });
  const unused = storage !== undefined && storage.bytes > 0;
  if (!unused && machine?.fenced !== false) return null;
  return (
    <Box
      component="footer"
      sx={{
        flex: "none",
        minHeight: 40,
        px: 6,
        py: 1,
        display: "flex",
        flexWrap: "wrap",
        alignItems: "center",
        gap: 3,
        bgcolor: ink.band,
        borderTop: `1px solid ${ink.rule2}`,
        color: ink.ink2,
      }}
    >
      {unused && (
        <>
          <Box>
            {fileSize(storage.bytes)} are of no production any more; they go by themselves after{" "}
            {storage.days} days.
          </Box>
          <Button disabled={clear.isPending} onClick={() => clear.mutate()}>
            Clear them now
          </Button>
        </>
      )}
      {machine?.fenced === false && (
        <Box sx={{ color: ink.rust }}>
          Files are not read in a fence on this machine (bubblewrap does not work here): bring in
          only those whose maker you trust.
        </Box>
      )}
    </Box>
  );
}
