/** The name of a size as it stands in the drawing: without what the drawing shows by itself ("Run, plate to middle"). */
export function shortTitle(title: string): string {
  return title.split(/[,:]/u)[0]?.trim() ?? title;
}
