/** Counting, cooking and shopping, fetched together. */
export { default as AuditView } from "./meals/AuditView";
export { default as CookPage } from "./meals/CookPage";
export { default as CountPage } from "./count/CountPage";
export { default as CountView } from "./count/CountView";
export { default as MakeView } from "./meals/MakeView";
export { default as MealsView } from "./meals/MealsView";
export { default as ShopView } from "./shop/ShopView";
