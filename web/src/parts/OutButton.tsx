import Button from "@mui/material/Button";

/** Takes a row out of a list; its name says which. */
export const OutButton = ({ label, onOut }: { label: string; onOut: () => void }) => (
  <Button
    size="small"
    aria-label={label}
    sx={{ minWidth: 0, px: 1.5, minHeight: 22 }}
    onClick={onOut}
  >
    ×
  </Button>
);
