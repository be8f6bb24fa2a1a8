import Button from "@mui/material/Button";

/** A button by which a document is chosen; tells its text. */
export function BringText({
  children,
  onText,
}: {
  children: string;
  onText: (text: string) => void;
}) {
  return (
    <Button component="label">
      {children}
      <input
        type="file"
        hidden
        accept=".json,application/json"
        onChange={(e) => {
          void e.target.files?.[0]?.text().then(onText);
          e.target.value = "";
        }}
      />
    </Button>
  );
}
