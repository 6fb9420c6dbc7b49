// Makes the client's types from the interface's description; an uploaded file is a Blob.
import { readFileSync, writeFileSync } from "node:fs";
import openapiTS, { astToString } from "openapi-typescript";
import ts from "typescript";

const blob = ts.factory.createTypeReferenceNode("Blob");
const description = JSON.parse(readFileSync("../docs/api/openapi.json", "utf8"));
const nodes = await openapiTS(description, {
  transform: (schema) => (schema.format === "binary" ? blob : undefined),
});
writeFileSync("src/lib/api.d.ts", astToString(nodes));
