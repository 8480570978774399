"use client";

import { useRef } from "react";
import { KeyButton, type KeyButtonProps } from "./key-button";

/**
 * A key that chooses a file. The same file can be chosen again after it was refused.
 *
 * @param label what the field is called
 */
export function FilePick({
  label,
  accept,
  onFile,
  ...button
}: Omit<KeyButtonProps, "onPress" | "label"> & {
  label: string;
  accept: string;
  onFile: (file: File) => void;
}) {
  const chooser = useRef<HTMLInputElement>(null);
  return (
    <>
      <KeyButton {...button} onPress={() => chooser.current?.click()} />
      <input
        ref={chooser}
        type="file"
        aria-label={label}
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        onChange={(e) => {
          const [file] = e.target.files ?? [];
          e.target.value = "";
          if (file) onFile(file);
        }}
      />
    </>
  );
}
