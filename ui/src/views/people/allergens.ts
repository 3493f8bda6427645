/** What foods may hold that somebody may not have, as the tables name it. */
export const ALLERGENS = [
  "gluten",
  "milk",
  "egg",
  "fish",
  "crustacean",
  "mollusc",
  "soy",
  "peanut",
  "tree-nut",
  "celery",
  "mustard",
  "sesame",
  "sulphite",
  "lupin",
] as const;
