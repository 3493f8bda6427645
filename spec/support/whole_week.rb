# frozen_string_literal: true

require_relative "house"
require_relative "../../desk/meal_filling"
require_relative "../../desk/week"
require_relative "../../drill/list_promises"

# What holds of a household's meals at every step, whichever view says it.
module WholeWeekSupport
  # @return [String] what a household brings along, as CSV
  def list(today)
    rows = [
      ["Chickpeas, canned", "Cupboard", "3 x 400 g", today + 5],
      ["Red kidney beans, canned", "Cupboard", "2 x 400 g", ""],
      ["Chopped tomatoes, canned", "Cupboard", "4 x 400 g", ""], ["White rice, long grain", "Cupboard", "1 kg", ""],
      ["Dry wheat spaghetti", "Cupboard", "500 g", ""], ["Red split lentils, dried", "Cupboard", "500 g", ""],
      ["Onions", "Cupboard", "6", ""], ["Carrots", "Fridge", "5", ""], ["Cooked ham", "Fridge", "200 g", today + 2],
      ["Hen eggs", "Fridge", "10", today + 12], ["Vegetable stock cubes", "Cupboard", "80 g", ""],
      ["Olive oil", "Cupboard", "500 ml", ""], ["Peas, frozen", "Freezer", "500 g", ""],
      ["White bread, sliced", "Cupboard", "800 g", today + 3]
    ]
    ["food,place,amount,best before", *rows.map { |row| row.map { |cell| cell.to_s.inspect }.join(",") }].join("\n")
  end

  # Each view by its own way, held against the others.
  # @param who [NutShelf::Desk::Caller]
  def agree!(who)
    at_work(who) do |work|
      week = NutShelf::Desk::Week.new(work, from: clock.day, to: clock.day + 6)
      plan = week.plan
      draw_agrees(plan)
      missing_agrees(plan, week)
      past_agrees(plan, week)
      list_keeps_its_promises(work)
      expect(work.house.lots.out_of_balance).to eq([])
      expect(work.house.soundness.faults).to eq([])
    end
  end

  # What the meals take of a stack is there, and what they leave is what the next dish is held against.
  def draw_agrees(plan)
    plan.ties.group_by { |tie| tie.pick.stack.id }.each do |id, ties|
      expect(ties.sum(0r) { |tie| tie.pick.amount }).to be <= plan.shelf.stack(id).amount
    end
    plan.dishes.each_value do |dish|
      dish.lines.reject { |line| line.free || line.unknown || line.line.optional }.each do |line|
        expect(line.picks.sum(0r, &:amount) + line.missing).to be_within(1/1000r).of(line.grams)
      end
    end
  end

  # The list asks for what the dishes miss, meal by meal; the balance is what it costs.
  def missing_agrees(plan, week)
    items, dishes = plan.missing(week.to)
    lines = dishes.flat_map { |id, dish| dish.missing.map { |line| [id, line.food_key, line.missing] } }
    told = items.flat_map { |item| item.reasons.map { |reason| [reason[:meal], item.food_key, reason[:grams]] } }
    expect(told.sort).to eq(lines.sort)
    expect(week.balance.to_buy).to eq(items.sum { |item| plan.whole_cost(item.food_key, item.grams).first })
  end

  # With everything on the list bought on its day no meal lacks anything that could be bought in time, and nothing is
  # asked for that nobody lacks.
  def list_keeps_its_promises(work) = expect(ListPromises.faults(work)).to(eq([]))

  # What the week says goes past, the forecast says; and no meal takes what goes past.
  def past_agrees(plan, week)
    past = plan.forecast.goes_past.to_h { |one| [one.stack.id, one.amount] }
    week.turning.select { |one| one.stack.amount }.each do |one|
      expect(one.past).to eq(past.fetch(one.stack.id, 0r))
      expect(one.past + one.ties.sum(0r) { |tie| tie.pick.amount }).to be <= one.stack.amount
    end
    expect(week.balance.past).to eq(week.turning.sum(&:past_minor))
  end

  # A week as a household lives it, whatever stood in it before: filled anew, two meals kept, one swapped, one slid,
  # three cooked with a lunch of leftovers among them, the rest carried over. Every view agrees after every step.
  # @param who [NutShelf::Desk::Caller]
  def live_the_week(who)
    from = clock.day
    fill_anew(who)
    change_some(who, from)
    leftover_lunch(who, from)
    cook_two_more(who, from)
    carry_over(who, from + 6)
    carry_over(who, from + 13)
  end

  private

  def meals(who, from) = inside(who) { |house| house.meals.between(from, from + 13) }

  def to_cook(who, from)
    meals(who, from).select { |row| row.kind == "cook" && row.status == "planned" && row.on_date >= clock.day }
  end

  def fill_anew(who)
    from = clock.day
    planned = meals(who, from).select { |row| row.status == "planned" && !row.pinned && row.on_date <= from + 6 }
    found =
      at_work(who) do |work|
        filling = NutShelf::Desk::MealFilling.new(work, from: from, to: from + 6, again: planned.map(&:id))
        all = filling.call(moves: 300)
        all.map { |one| filling.told(one, among: all).except(:name) }
      end
    act(:FillMeals, who, { meals: found, replace: planned.map(&:id) })
    expect(found.size).to be >= 7
    expect(meals(who, from).size).to be >= found.size
    agree!(who)
  end

  # Two are kept, one is another dish, one slides onto a day that has none.
  def change_some(who, from)
    free = to_cook(who, from).reject(&:pinned)
    free = free.select { |row| meals(who, from).none? { |one| one.from_meal_id == row.id } }
    free.first(2).each { |row| act(:ChangeMeal, who, { meal_id: row.id, pinned: true }) }
    act(:ChangeMeal, who, { meal_id: free[2].id, recipe_id: another(who, free[2], from) })
    agree!(who)
    act(:SlideMeal, who, { meal_id: free[3].id, on: (from + 9).iso8601 })
    expect(meals(who, from).find { |row| row.id == free[3].id }.on_date).to eq(from + 9)
    agree!(who)
    expect(meals(who, from).count(&:pinned)).to be >= 2
  end

  def another(who, row, from)
    taken = meals(who, from).map(&:recipe_id)
    at_work(who) do |work|
      NutShelf::Desk::Plan.new(work).ranked(row.on_date).find do |one|
        !one.dish.shut? && !taken.include?(one.id) && one.dish.recipe.meal == row.meal
      end
    end.id
  end

  # One that keeps is cooked for the next day's lunch as well.
  def leftover_lunch(who, from)
    first = to_cook(who, from).find do |row|
      inside(who) do |house|
        house.recipes.find(row.recipe_id)
      end.leftover_days >= 2
    end
    clock.day = first.on_date
    next_day = first.on_date + 1
    standing = meals(who, from).select { |row| [row.on_date, row.meal, row.status] == [next_day, "lunch", "planned"] }
    standing.each { |row| act(:DropMeal, who, { meal_id: row.id }) }
    lunch = act(:PlanMeal, who, { from_meal_id: first.id, on: next_day.iso8601, meal: "lunch" })["meal_id"]
    agree!(who)
    left = cook_it(who, first, portions: meals(who, from).find { |row| row.id == lunch }.servings.ceil.to_s)
    expect(meals(who, from).find { |row| row.id == lunch }).to have_attributes(kind: "kept", lot_id: left)
    clock.day += 1
    act(:EatMeal, who, { meal_id: lunch })
    expect(lot(who, left).on_hand).to be < 1
    agree!(who)
  end

  def cook_two_more(who, from)
    2.times do
      row = to_cook(who, from).first
      clock.day = row.on_date
      cook_it(who, row)
    end
  end

  def cook_it(who, row, portions: nil)
    left = portions && { portions: portions, place_id: place_id(who, "fridge") }
    act(:Cook, who, { meal_id: row.id, leftovers: left }.compact)["leftover_lot_id"].tap { agree!(who) }
  end

  # What the days left behind gets another one, or is put aside.
  def carry_over(who, on)
    clock.day = [clock.day, on].max
    act(:CarryOver, who, {}) if inside(who) { |house| house.meals.undone(clock.day) }.any?
    expect(inside(who) { |house| house.meals.undone(clock.day) }).to eq([])
    agree!(who)
  end
end
