import { audit } from "$lib/core/audit/audit.ts";
import { CATALOGUE } from "$lib/data/catalogue.ts";
import { workspace } from "$lib/state/workspace.svelte.ts";
import { isFirstPage } from "$lib/ui/firstPage.ts";
import { nextTask } from "$lib/state/nextTask.ts";
import type { LayoutLoad } from "./$types";

/** The first audit takes four times as long as the second: on the first page it is a task of its own, before the page is made. */
export const load: LayoutLoad = async ({ params }) => {
  if (!isFirstPage()) return;
  const kit = workspace.kit(`kit:${params.id}`);
  const brief = kit && workspace.brief(kit.briefId);
  if (brief) audit(workspace.auditOf(kit, brief.brief), workspace.today, CATALOGUE);
  await nextTask();
};
