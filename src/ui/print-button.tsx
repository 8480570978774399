"use client";

import { KeyButton } from "./key-button";

export const PrintButton = () => (
  <KeyButton keyName=" " look="main" onPress={() => window.print()}>
    Print it
  </KeyButton>
);
