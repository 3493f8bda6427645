# frozen_string_literal: true

require_relative "../desk/looking_back/books"
require_relative "../desk/looking_back/weeks"
require_relative "../desk/unit_of_work"
require_relative "../desk/plan"
require_relative "list_promises"
require_relative "plain_ledger"
Dir[File.expand_path("../desk/{acts,commands}/*.rb", __dir__)].each do |file|
  require_relative "../desk/#{File.basename(File.dirname(file))}/#{File.basename(file, ".rb")}"
end

# A household of two people lives for weeks by a throw of dice: shops by the list, plans, cooks, takes, throws away,
# counts, takes back, sends letters late. Every day the books are held against a ledger of their own.
class WeeksLived
  include NutShelf

  # Where the house and the plain ledger differ, or the list breaks a promise.
  class Fault < StandardError
  end

  WAYS = %w[binned given_away animals].freeze
  PRICES = (60..900)

  attr_reader :acts, :refused, :day

  # @param services [Desk::Services] with a clock that can be set
  # @param people [Array<Desk::Caller>] two of one household
  # @param seed [Integer]
  # @param foods [Integer] how many kinds are bought
  def initialize(services, people, seed:, foods:, first: Date.new(2026, 9, 28))
    @services = services
    @people = people
    @dice = Random.new(seed)
    @first = first
    @day = first
    @ledger = PlainLedger.new
    @acts = 0
    @refused = 0
    @last = []
    @count = foods
  end

  # @param days [Integer]
  # @param each_day [Integer] acts a day
  # @raise [Fault]
  def live(days:, each_day:)
    days.times do |number|
      @day = @first + number
      @services.clock.day = @day
      shop if (number % 4).zero?
      plan if (number % 7).zero?
      each_day.times { step }
      check
    end
  end

  private

  def step
    case @dice.rand(12)
    when 0..3 then take
    when 4..5 then cook
    when 6 then throw_out
    when 7 then count
    when 8 then undo
    when 9 then late
    when 10 then buy(foods.sample(random: @dice))
    else move
    end
  end

  def who = @people.sample(random: @dice)

  def within(&block) = @services.database.within(@people.first.household_id, &block)

  def house = within { |db| yield Store::House.new(db, @people.first.household_id) }

  def work
    within { |db| yield Desk::UnitOfWork.new(@services, @people.first, db) }
  end

  def act(name, input, envelope: Desk::Envelope::NONE)
    key = "weeks-#{@acts += 1}-#{@dice.rand(10**12)}"
    Desk.const_get(name).new(@services, who).call(input, key: key, envelope: envelope)
  rescue Desk::Conflict, Desk::Invalid
    @refused += 1
    nil
  end

  def foods
    @foods ||= house do |store|
      all = store.foods.all.select { |food| food.dimension == "mass" && food.food_group != "supplies" }
      all.sort_by(&:key).sample(@count, random: @dice)
    end
  end

  def place_id(kind) = house { |store| store.places.all.find { |place| place.kind == kind }.id }

  def stacks = house { |store| store.lots.all.select { |lot| lot.on_hand.positive? && bought?(lot) } }

  def bought?(lot) = lot.dimension == "mass" && lot.noun.nil?

  def some = stacks.sample(random: @dice)

  def buy(food, amount: [250, 400, 500].sample(random: @dice), count: @dice.rand(1..3))
    price = @dice.rand(PRICES)
    done = act(:PutAway, {
      food_id: food.id, place_id: place_id(%w[cupboard fridge freezer].sample(random: @dice)), count: count.to_s,
      amount: amount.to_s, unit: "g", price_minor: price, printed_on: (@day + @dice.rand(5..200)).iso8601,
      printed_kind: "best_before"
    })
    came(done, food.id, (amount * count).to_r, price)
  end

  def came(done, food_id, amount, price)
    return unless done

    @ledger.came(done["act_id"], food_id, amount, price)
    @last << done["act_id"]
  end

  # By the list: taken along, most of it ticked by one or both, put away.
  def shop
    begun = act(:BeginShopping, {}) or return
    lines = house { |store| store.shopping.of(begun["shopping_id"]) }
    lines = lines.reject { |_| @dice.rand(5).zero? }
    lines.each { |line| @dice.rand(1..2).times { act(:MarkListLine, { ref: line.ref, status: "ticked" }) } }
    act(:EndShopping, { shopping_id: begun["shopping_id"] })
    lines.each { |line| put_away(line) }
  end

  UNITS = { "mass" => "g", "volume" => "ml", "count" => "piece" }.freeze
  private_constant :UNITS

  # What is no food, or comes in no pack, is cleared from the basket.
  def put_away(line)
    return act(:PutAwayBought, { without: [line.ref] }) if line.food_id.nil? || line.packs.empty?

    price = @dice.rand(PRICES)
    stacks = line.packs.each_with_index.map { |pack, at| stack_of(line, pack, at.zero? ? price : 0) }
    done = act(:PutAwayBought, { stacks: stacks }) or return
    moves = line.packs.map { |pack| [line.food_id, "bought", pack["amount"].to_r * pack["count"].to_i] }
    @ledger.add(done["act_id"], moves, price)
    @last << done["act_id"]
  end

  def stack_of(line, pack, price)
    {
      ref: line.ref, food_id: line.food_id, place_id: place_id("cupboard"), count: pack["count"].to_s,
      amount: Core::Decimal.print(pack["amount"].to_r), unit: UNITS.fetch(pack["dimension"]), price_minor: price
    }
  end

  def plan
    recipes = house { |store| store.recipes.values.keys.sort }
    4.times do
      act(:PlanMeal, { recipe_id: recipes.sample(random: @dice), on: (@day + @dice.rand(7)).iso8601 })
    end
  end

  def part(lot) = [(lot.on_hand * @dice.rand(1..10) / 10).round(1), 1/10r].max.clamp(0r, lot.on_hand)

  def take(envelope: Desk::Envelope::NONE)
    lot = some or return
    amount = part(lot)
    done = act(:Take, { lot_id: lot.id, amount: Core::Decimal.print(amount) }, envelope: envelope) or return
    @ledger.left(done["act_id"], lot.food_id, amount, "eaten")
    @last << done["act_id"]
  end

  # A letter from yesterday.
  def late
    sequence = ((Time.now.to_f * 1000).to_i - 86_400_000 + @acts)
    take(envelope: Desk::Envelope.new(device: "drillphone", sequence: sequence, on: @day - 1, held: true))
  end

  def throw_out
    lot = some or return
    amount = part(lot)
    way = WAYS.sample(random: @dice)
    done = act(:Throw, { lot_id: lot.id, amount: Core::Decimal.print(amount), outcome: way, why: "turned" }) or return
    @ledger.left(done["act_id"], lot.food_id, amount, way)
    @last << done["act_id"]
  end

  def cook
    meal = house do |store|
      store.meals.between(@day - 7, @day + 7).find do |row|
        row.status == "planned" && row.recipe_id
      end
    end
    lots = stacks.sample(@dice.rand(1..4), random: @dice)
    return unless meal && lots.any?

    used = lots.to_h { |lot| [lot, part(lot)] }
    told = used.map { |lot, amount| { lot_id: lot.id, amount: Core::Decimal.print(amount) } }
    done = act(:Cook, { meal_id: meal.id, used: told }) or return
    @ledger.add(done["act_id"], used.map { |lot, amount| [lot.food_id, "eaten", -amount] })
    @last << done["act_id"]
  end

  def count
    place = place_id(%w[cupboard fridge].sample(random: @dice))
    begun = act(:StartCount, { place_id: place }) or return
    lot = stacks.select { |one| one.place_id == place && one.pack_amount.nil? }.sample(random: @dice)
    found = lot && (lot.on_hand * @dice.rand(3..9) / 10).round(1)
    if lot
      act(:EnterLine, { count_id: begun["count_id"], lot_id: lot.id, found: "amount",
                        amount: Core::Decimal.print(found), unit: "g" })
    end
    act(:EnterRest, { count_id: begun["count_id"], found: "as_expected" })
    done = act(:FinishCount, { count_id: begun["count_id"] }) || act(:ThrowCount, { count_id: begun["count_id"] })
    missed(done, lot, found) if done&.key?("act_id")
  end

  # What the count found is what is there; why less is, the house says.
  def missed(done, lot, found)
    return unless lot && found < lot.on_hand

    reason = house { |store| store.ledger.movements(done["act_id"]).find { |row| row.lot_id == lot.id }&.reason }
    @ledger.left(done["act_id"], lot.food_id, lot.on_hand - found, reason) if reason
  end

  def move
    lot = some or return
    act(:Move, { lot_id: lot.id, place_id: place_id(%w[cupboard fridge].sample(random: @dice)) })
  end

  def undo
    id = @last.pop or return
    @ledger.undone(id) if act(:Undo, { act_id: id })
  end

  def check
    work do |one|
      books = Desk::LookingBack::Books.new(one, from: @first, to: @day)
      same("the stock", @ledger.stock, in_the_house(one))
      same("what left", grams(@ledger.out), grams(books.tally.grams))
      same("what was paid", @ledger.paid, books.balance.came.values_at("bought", "made").sum)
      same("the worth", @ledger.paid, books.tally.leaving + one.house.lots.present_values.values.sum)
      fault("the sums do not add up") unless books.balance.even?
      fault("a stack is not its movements") if one.house.lots.out_of_balance.any?
      broken = ListPromises.faults(one)
      fault("the list: #{broken.join(", ")}") if broken.any?
    end
  end

  def in_the_house(one)
    one.house.lots.all.group_by(&:food_id).transform_values { |list| list.sum(0r, &:on_hand) }
      .reject { |_, amount| amount.zero? }
  end

  def grams(sums) = sums.reject { |_, amount| amount.zero? }.sort.to_h

  def same(what, said, found)
    fault("#{what}: the ledger says #{said.inspect}, the house #{found.inspect}") unless said == found
  end

  def fault(words) = raise(Fault, "#{@day}, after #{@acts} acts: #{words}")
end
