/** The household's dishes, fetched together. */
export { default as BringRecipe } from "./recipes/BringRecipe";
export { default as RecipePage } from "./recipes/RecipePage";
export { default as RecipesView } from "./recipes/RecipesView";
export { ChangeRecipe, NewRecipe } from "./recipes/RecipeEditor";
