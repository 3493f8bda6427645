# frozen_string_literal: true

require_relative "../support/house"

# Whatever hands do, in whatever order: nothing is lost, nothing comes from nowhere, and taken back in reverse
# everything is as it was.
RSpec.describe "Conservation" do
  let(:ines) { household! }

  # Hands that move, open, split, pour, cut, cook and look, by a seeded throw of dice.
  class Hands # rubocop:disable Lint/ConstantDefinitionInBlock -- local to this file
    attr_reader :done, :refused

    def initialize(spec, who, seed)
      @spec = spec
      @who = who
      @dice = Random.new(seed)
      @done = []
      @refused = 0
    end

    def stacks = @spec.inside(@who) { |house| house.lots.all }

    def places = @places ||= @spec.inside(@who) { |house| house.places.all.map(&:id) }

    def jars = @jars ||= @spec.inside(@who) { |house| house.containers.all.map(&:id) }

    def act(name, **input)
      @done << [name, @spec.act(name, @who, input.compact)["act_id"]]
    rescue NutShelf::Desk::Conflict, NutShelf::Desk::Invalid
      @refused += 1
    end

    def amount(lot)
      @dice.rand(3).zero? ? nil : NutShelf::Core::Decimal.print((lot.on_hand * @dice.rand(1..9) / 10).round(2))
    end

    def bench(lot)
      alike = stacks.select { |one| one.food_id == lot.food_id }.map { |one| { lot_id: one.id, amount: amount(one) } }
      added = (stacks - [lot]).reject { |one| one.food_id == lot.food_id }.sample(@dice.rand(2), random: @dice)
      act(:PortionBench, takes: alike.map(&:compact), trim_g: "0", size_g: "70", frozen_place_id: places.first,
        additions: added.map { |one| { lot_id: one.id, each_g: "3" } })
    end

    def switch = act(:SwitchPlace, place_id: places.sample(random: @dice), off: @dice.rand(2).zero?)

    def step
      lot = stacks.sample(random: @dice)
      case @dice.rand(12)
      when 0
        act(:Move, lot_id: lot.id, place_id: places.sample(random: @dice), amount: amount(lot))
      when 1
        act(:Open, lot_id: lot.id)
      when 2
        act(
          :Portion,
          lot_id: lot.id,
          count: @dice.rand(1..7),
          amount: amount(lot),
          place_id: places.sample(random: @dice)
        )
      when 3
        act(:Decant, lot_id: lot.id, container_id: jars.sample(random: @dice), amount: amount(lot))
      when 4
        act(:TopUp, lot_id: lot.id, from_lot_id: stacks.sample(random: @dice).id, amount: amount(lot))
      when 5
        act(
          :Prepare,
          lot_id: lot.id,
          how: %w[cut cooked].sample(random: @dice),
          amount: amount(lot),
          place_id: places.sample(random: @dice)
        )
      when 6
        act(:StoreAs, lot_id: lot.id, method: %w[bag jar paper].sample(random: @dice))
      when 7
        act(:Look, lot_id: lot.id, result: %w[good turning].sample(random: @dice))
      when 8
        bench(lot)
      when 9
        act(:SortPests, lot_id: lot.id, packs: 1, inner: 4, kept: 4)
      when 10
        switch
      else
        act(:Quarantine, lot_ids: [lot.id], reason: "pest")
      end
    end
  end

  def picture
    inside(ines) do |house|
      names = %i[
        id on_hand value_minor place_id open frozen container_id quarantined usable_until safety_until history
        printed_on
      ]
      house.lots.all.map do |lot|
        lot.slice(*names).transform_values { |value| value.respond_to?(:to_a) ? value.to_a : value }
      end
    end
  end

  # What is mixed is another food: all that is told in one measure is summed up.
  def totals
    inside(ines) do |house|
      house
        .lots
        .all
        .group_by(&:dimension)
        .transform_values { |lots| lots.sum(&:on_hand) }.merge(value: house.lots.all.sum(&:value_minor))
    end
  end

  [11, 23, 47, 101, 389, 1009].each do |seed|
    it "holds for the hands of seed #{seed}" do
      act(:AddContainer, ines, { name: "Jar", kind: "jar", capacity_ml: 900, owned: 2 })
      put_away(
        ines, "rolled-oats", "cupboard", count: "3", amount: "500", printed_on: "2027-05-30",
        printed_kind: "best_before", price_minor: 631
      )
      put_away(
        ines, "rolled-oats", "cupboard", amount: "1000", printed_on: "2027-01-31", printed_kind: "best_before",
        price_minor: 209
      )
      put_away(
        ines, "chicken-thighs", "fridge", count: "2", amount: "450", printed_on: "2026-11-27", printed_kind: "use_by",
        price_minor: 1117
      )
      put_away(ines, "carrots", "fridge", count: "7", amount: "1", unit: "piece", price_minor: 97)
      before = [picture, totals]
      hands = Hands.new(self, ines, seed)
      18.times { hands.step }
      expect(hands.done.size).to be > 8
      expect(totals).to eq(before.last)
      expect(inside(ines) { |house| house.lots.out_of_balance }).to be_empty
      hands.done.reverse_each { |_, id| act(:Undo, ines, { act_id: id }) }
      expect(picture).to eq(before.first)
      expect(inside(ines) { |house| house.lots.out_of_balance }).to be_empty
    end
  end

  [5, 77, 2024].each do |seed|
    it "holds for a count of seed #{seed} while others take" do
      dice = Random.new(seed)
      lots =
        Array.new(5) do |index|
          put_away(ines, %w[canned-chickpeas canned-sardines][index % 2], "cupboard", count: "6", price_minor: 600)[
            "lot_id"
          ]
        end
      there = lots.to_h { |id| [id, 6] }
      said = {}
      count = act(:StartCount, ines, { place_id: place_id(ines, "cupboard") })["count_id"]
      30.times do
        id = lots.sample(random: dice)
        if dice.rand(2).zero?
          packs = dice.rand(0..8)
          act(:EnterLine, ines, { count_id: count, lot_id: id, found: "amount", packs: packs.to_s })
          said[id] = packs - there[id]
        elsif there[id].positive?
          act(:Take, ines, { lot_id: id })
          there[id] -= 1
        end
      end
      before = picture
      done = act(:FinishCount, ines, { count_id: count })
      wanted = there.to_h { |id, packs| [id, [packs + said.fetch(id, 0), 0].max * 400] }
      expect(lots.to_h { |id| [id, lot(ines, id).on_hand.to_i] }).to eq(wanted)
      expect(inside(ines) { |house| house.lots.out_of_balance }).to be_empty
      act(:Undo, ines, { act_id: done["act_id"] })
      expect(picture).to eq(before)
    end
  end
end
