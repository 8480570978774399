import { mkdtempSync } from "node:fs";
import { test } from "@playwright/test";
import { serveBuilt } from "../scripts/serve-built";
