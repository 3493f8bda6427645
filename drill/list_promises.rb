# frozen_string_literal: true

require_relative "../desk/shopping/shopping_list"

# The two promises of the shopping list: nothing is asked for that nobody lacks, and with all of it bought on its day no
# meal lacks anything that could be bought in time.
module ListPromises
  module_function

  # @param work [NutShelf::Desk::UnitOfWork]
  # @return [Array<String>] foods by which one is broken, in words
  def faults(work)
    list = NutShelf::Desk::ShoppingList.new(work)
    lines = [*list.lines, *list.silent]
    idle = lines.reject { |line| line.level || line.gets.sum(0r, &:grams).positive? || line.spoils.any? }
    [*idle.map { |line| "#{line.food.key} is asked for and nobody lacks it" }, *short(list, lines, basket(work))]
  end

  # What is in the basket and waits to be put away is not asked for again.
  def basket(work) = work.house.shopping.bought.filter_map { |line| line.food_id && work.food(line.food_id).key }

  def short(list, lines, basket)
    bought = lines.flat_map { |line| line.gets.flat_map { |get| get.bought.stacks } }
    dishes = list.plan.ahead(bought).dishes.select { |meal, _| meal.on <= list.trips.to }.values
    spoils = lines.select { |line| line.spoils.any? }.map { |line| line.food.key }
    missing = dishes.flat_map(&:missing).map(&:food_key)
    (missing - spoils - basket - list.not_sold.keys).uniq.map { |key| "#{key} is not bought" }
  end
end
