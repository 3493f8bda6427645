# frozen_string_literal: true

require_relative "house"
require_relative "../../desk/week"

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

  # What the week says goes past, the forecast says; and no meal takes what goes past.
  def past_agrees(plan, week)
    past = plan.forecast.goes_past.to_h { |one| [one.stack.id, one.amount] }
    week.turning.select { |one| one.stack.amount }.each do |one|
      expect(one.past).to eq(past.fetch(one.stack.id, 0r))
      expect(one.past + one.ties.sum(0r) { |tie| tie.pick.amount }).to be <= one.stack.amount
    end
    expect(week.balance.past).to eq(week.turning.sum(&:past_minor))
  end
end
