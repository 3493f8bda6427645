# frozen_string_literal: true

require_relative "../support/house"
require_relative "../support/stories"
require_relative "../../desk/redate"

# The caps law again, this time through the acts that hands do on a real shelf, over days, with undo in between: no way
# through the house makes a stack read as good for longer than the caps in force allow.
RSpec.describe "Dates in hands" do
  let(:ines) { household! }
  let(:juna) { joined(ines, "helper") }

  # One member of the household at the shelf, by a seeded throw of dice.
  class Shelf # rubocop:disable Lint/ConstantDefinitionInBlock -- local to this file
    ACTS = %i[move open portion bench bowl decant top_up prepare look take amend switch undo].freeze

    def initialize(spec, who, seed)
      @spec = spec
      @who = who
      @dice = Random.new(seed)
      @done = []
    end

    attr_reader :done

    def step
      lot = stacks.sample(random: @dice)
      send(ACTS.sample(random: @dice), lot) if lot
    rescue NutShelf::Desk::Conflict, NutShelf::Desk::Invalid, NutShelf::Desk::Forbidden
      nil
    end

    private

    def act(name, **input) = @done << @spec.act(name, @who, input.compact)["act_id"]

    def stacks = @spec.on_shelf(@who)

    def place = (@places ||= @spec.inside(@who) { |house| house.places.all.map(&:id) }).sample(random: @dice)

    def jar = @spec.inside(@who) { |house| house.containers.all.map(&:id) }.sample(random: @dice)

    def some(lot)
      @dice.rand(2).zero? ? nil : NutShelf::Core::Decimal.print((lot.on_hand / @dice.rand(2..4)).round(2))
    end

    def move(lot) = act(:Move, lot_id: lot.id, place_id: place, amount: some(lot))

    def open(lot) = act(:Open, lot_id: lot.id)

    def portion(lot) = act(:Portion, lot_id: lot.id, count: 2, amount: some(lot), place_id: place)

    def bench(lot)
      alike = stacks.select { |other| other.food_id == lot.food_id }.map { |one| { lot_id: one.id } }
      other = stacks.reject { |one| one.food_id == lot.food_id }.sample(random: @dice)
      added = other && @dice.rand(2).zero? ? [{ lot_id: other.id, each_g: "5" }] : []
      act(:PortionBench, takes: alike, count: 3, fresh: 1, place_id: place, frozen_place_id: place, additions: added,
        container_id: @dice.rand(3).zero? ? jar : nil)
    end

    def bowl(lot)
      others = (stacks - [lot]).sample(2, random: @dice)
      act(:ShareBowl, takes: [{ lot_id: lot.id, amount: some(lot) }, { lot_id: others.first.id }], count: 3, fresh: 1,
        additions: [{ lot_id: others.last.id, each_g: "5" }], bowl_g: "700", label: "Bowl", place_id: place,
        frozen_place_id: place)
    end

    def switch(_lot) = act(:SwitchPlace, place_id: place, off: @dice.rand(2).zero?)

    def decant(lot) = act(:Decant, lot_id: lot.id, container_id: jar, amount: some(lot))

    def top_up(lot)
      act(
        :TopUp,
        lot_id: lot.id,
        from_lot_id: stacks.select { |other| other.food_id == lot.food_id }.sample(random: @dice).id,
        amount: some(lot)
      )
    end

    def prepare(lot)
      act(:Prepare, lot_id: lot.id, how: %w[cut cooked].sample(random: @dice), amount: some(lot), place_id: place)
    end

    def look(lot) = act(:Look, lot_id: lot.id, result: %w[good good turning].sample(random: @dice))

    def take(lot) = act(:Take, lot_id: lot.id, amount: some(lot) || "1")

    def amend(lot) = act(:Amend, lot_id: lot.id, directions: "Said #{@dice.rand(99)}")

    def undo(_lot) = @done.empty? || act(:Undo, act_id: @done.sample(random: @dice))
  end

  def fill
    act(:AddContainer, ines, { name: "Jar", kind: "jar", capacity_ml: 1500, owned: 3 })
    put_away(ines, "beef-mince", "fridge", count: "2", printed_on: "2026-11-26", printed_kind: "use_by")
    if inside(ines) { |house| house.foods.by_key(["cooked-rice"]).any? }
      put_away(ines, "cooked-rice", "fridge", made_on: "2026-11-24", situation: "left_over")
    end
    put_away(ines, "plain-yoghurt", "fridge", count: "2", printed_on: "2026-11-30", printed_kind: "best_before")
    put_away(ines, "chicken-thighs", "freezer", count: "2", acquired_on: "2026-11-20")
    put_away(ines, "rolled-oats", "cupboard", count: "2", printed_on: "2026-11-20", printed_kind: "best_before")
    put_away(ines, "canned-chickpeas", "cupboard", count: "3", printed_on: "2028-05-31", printed_kind: "best_before")
  end

  # @return [Array<String>] stacks that read as good for longer than the law allows, with their stories
  def laundered
    services.database.within(ines.household_id) do |db|
      work = NutShelf::Desk::UnitOfWork.new(services, ines, db)
      redate = NutShelf::Desk::Redate.new(work)
      work.shelf.stacks.each_value.filter_map do |row|
        story = redate.story(work.house.lots.one(row.id))
        latest = CapsLaw.new(story, work.catalog).latest or next
        next if row.stopped || row.usable_until.nil? || row.usable_until <= latest

        "#{row.food_key} good until #{row.usable_until}, the law says #{latest}: #{story.events.map(&:to_h)}"
      end
    end
  end

  # What a shelf says, whichever way it came about.
  def contents(shelf)
    foods = shelf.keys.sort.to_h do |key|
      [key, [shelf.of(key), shelf.of(key, strict: true)].map do |list|
        list.map(&:id)
      end]
    end
    [shelf.stacks.to_a, foods, shelf.running_out]
  end

  # Drawn from what changed since the look before.
  def shelf_as_kept
    services.database.still(ines.household_id) { |db| NutShelf::Desk::UnitOfWork.new(services, ines, db, still: true).shelf }
  end

  def shelf_as_read = at_work(ines) { |work| NutShelf::Desk::ShelfLoader.new(work.tap(&:every_food)).whole }

  def dates
    inside(ines) do |house|
      house.lots.all.to_h do |row|
        [row.id, row.slice(:usable_until, :safety_until, :quality_until, :stopped, :look_first, :strict_until)]
      end
    end
  end

  [3, 59, 211, 640, 1201].each do |seed|
    it "are never laundered by the hands of seed #{seed}" do
      fill
      keeper = Shelf.new(self, ines, seed)
      helper = Shelf.new(self, juna, seed + 1)
      [24, 25, 27, 30].each do |of_november|
        clock.day = Date.new(2026, 11, of_november)
        6.times do
          [keeper, helper].each(&:step)
          expect(laundered).to be_empty
          expect(contents(shelf_as_kept)).to eq(contents(shelf_as_read))
        end
      end
      expect(keeper.done.size + helper.done.size).to be > 12
    end
  end

  it "are the same when the whole house is dated anew, on any later day" do
    fill
    hands = Shelf.new(self, ines, 77)
    20.times { hands.step }
    before = dates
    clock.day = Date.new(2026, 12, 20)
    services.database.outside { |db| db[:households].where(id: ines.household_id).update(dated_by: 0) }
    NutShelf::Desk::CatchUp.new(services).household(ines.household_id)
    expect(dates).to eq(before)
  end

  it "do not come back by taking back and doing once more" do
    mince = put_away(ines, "beef-mince", "fridge", printed_on: "2026-11-26", printed_kind: "use_by")["lot_id"]
    clock.day = Date.new(2026, 11, 28)
    looked = act(:Look, ines, { lot_id: mince, result: "good" })["act_id"]
    act(:Undo, ines, { act_id: looked })
    frozen = act(:Move, ines, { lot_id: mince, place_id: place_id(ines, "freezer") })["act_id"]
    expect(lot(ines, mince)).to have_attributes(stopped: true, safety_until: Date.new(2026, 11, 26))
    act(:Undo, ines, { act_id: frozen })
    expect(lot(ines, mince)).to have_attributes(
      stopped: false,
      safety_until: Date.new(2026, 11, 26),
      usable_until: Date.new(2026, 11, 26)
    )
    act(:Prepare, ines, { lot_id: mince, how: "cooked", place_id: place_id(ines, "fridge") })
    expect(lot(ines, mince)).to have_attributes(stopped: true, usable_until: Date.new(2026, 11, 26))
  end
end
