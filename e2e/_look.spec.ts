import { test } from "@playwright/test";
import { mkdtempSync } from "node:fs";
import { serveBuilt } from "../scripts/serve-built";
