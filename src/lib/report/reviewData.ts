import type { Audit } from "../core/audit/audit.ts";
import { many } from "../words/display.ts";
import { publishedVerdict, type ReportExtras, type ReportPlan } from "./kitReport.ts";

/** A report as schema.org Review data: what a search engine or a collector of reviews can read. */
export function reviewData(
  a: Audit,
  plan: ReportPlan | null,
  extras: ReportExtras,
  madeOn: string,
): object | null {
  if (a.coverage === null) return null;
  const { kit, list, brief } = a.context.audit;
  const [line, prose] = publishedVerdict(a, plan, extras);
  return {
    "@context": "https://schema.org",
    "@type": "Review",
    name: line,
    datePublished: madeOn,
    inLanguage: "en",
    author: { "@type": "Person", name: extras.inspector?.trim() || "not named" },
    itemReviewed: {
      "@type": "Product",
      name: kit.name,
      category: "First aid kit",
      ...(kit.price
        ? {
            offers: {
              "@type": "Offer",
              price: kit.price.amount,
              priceCurrency: kit.price.currency,
            },
          }
        : {}),
    },
    reviewRating: {
      "@type": "Rating",
      ratingValue: Math.round(a.coverage * 1000) / 10,
      bestRating: 100,
      worstRating: 0,
      ratingExplanation: `Coverage of “${list.title}” for ${many(brief.people, "person", "people")}, ${many(brief.days, "day")}, ${brief.hoursToCare} h from care: ${a.grade}.`,
    },
    reviewBody: prose,
  };
}
