import { api } from "./api";

/** What a list may be brought in from. */
export const lists =
  ".csv,.tsv,.txt,.xlsx,text/csv,text/plain,application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

/** A list as text: a spreadsheet's own file is read by the server first. */
export async function listOf(file: File): Promise<string> {
  return file.name.toLowerCase().endsWith(".xlsx") ? (await api.table(file)).list : file.text();
}
