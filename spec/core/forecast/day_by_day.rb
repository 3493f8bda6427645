# frozen_string_literal: true

require "bigdecimal"
require "date"

module NutShelf
  # The rule for one food as somebody with a pencil would follow it: a day after the other, a draw after the other.
  # Slow, and written without a look at how the house does it.
  class DayByDay
    FAR = Date.new(9999, 1, 1)
    Lot = Struct.new(:id, :amount, :pack, :good, :open, :days, :ready, keyword_init: true)

    # @return [Hash] a case as the files have it
    def self.random(chance)
      from = Date.new(2026, 11, 24)
      day = ->(most) { (from + chance.rand(0..most)).iso8601 }
      uses = Array.new(chance.rand(0..6)) { { "on" => day.(60), "amount" => chance.rand(50..900).to_s } }
      {
        "from" => from.iso8601, "to" => (from + chance.rand(60..120)).iso8601,
        "lots" => Array.new(chance.rand(1..7)) { |index| lot("L#{index + 1}", chance, day) }, "uses" => uses,
        "open_first" => chance.rand < 0.3,
        "rate_per_day" => chance.rand < 0.7 ? %w[7 18 46 60.5 120].sample(random: chance) : nil
      }
    end

    def self.lot(id, chance, day)
      lot = { "id" => id, "amount" => chance.rand(50..1500).to_s, "open" => chance.rand < 0.2 }
      if chance.rand < 0.5
        pack = [250, 400, 500, 1000].sample(random: chance)
        lot.update("open" => false, "pack" => pack.to_s, "amount" => (pack * chance.rand(1..4)).to_s)
        lot["opened_days"] = chance.rand(0..20) if chance.rand < 0.7
      end
      lot["good_until"] = day.(130) if chance.rand < 0.85
      lot["ready_on"] = day.(40) if chance.rand < 0.2
      lot["came_on"] = day.(40) if chance.rand < 0.2
      lot
    end

    def initialize(input)
      @input = input
      @lots = input.fetch("lots").map { |lot| read(lot) }
      @waste = Hash.new(0r)
      @wasted_on = {}
      @used = Hash.new(0r)
      @short = 0r
    end

    # @return [Hash] as ForecastFile gives it
    def answer
      (Date.iso8601(@input["from"])..Date.iso8601(@input["to"])).each { |day| walk(day) }
      {
        waste: @lots.map(&:id).uniq.filter_map { |id| [id, words(@waste[id])] if @waste[id].positive? }.to_h,
        wasted_on: @wasted_on, used: @used.transform_values { |amount| words(amount) },
        first_short_on: @first_short_on&.iso8601, first_short_amount: @first_short && words(@first_short),
        short: words(@short)
      }
    end

    private

    def read(lot)
      Lot.new(
        id: lot["id"], amount: lot["amount"].to_r, pack: lot["pack"]&.to_r, open: lot["open"],
        good: lot["good_until"] && Date.iso8601(lot["good_until"]), days: lot["opened_days"],
        ready: lot.values_at("ready_on", "came_on").compact.map { |day| Date.iso8601(day) }.max
      )
    end

    def walk(day)
      @lots.select { |lot| lot.good && lot.good < day && lot.amount.positive? }.each do |lot|
        @waste[lot.id] += lot.amount
        @wasted_on[lot.id] ||= day.iso8601
        lot.amount = 0r
      end
      wanted = @input["uses"].select { |use| use["on"] == day.iso8601 }.map { |use| use["amount"].to_r }
      wanted << @input["rate_per_day"].to_r if @input["rate_per_day"]
      wanted.each { |amount| draw(day, amount) }
    end

    def draw(day, wanted)
      while wanted.positive? && (lot = front(day))
        wanted -= lot.pack && !lot.open ? from_packs(lot, wanted, day) : taken(lot, [wanted, lot.amount].min)
      end
      return unless wanted.positive?

      @first_short_on ||= day
      @first_short ||= wanted
      @short += wanted
    end

    def front(day)
      there = @lots.select do |lot|
        lot.amount.positive? && (lot.ready.nil? || lot.ready <= day) && (lot.good.nil? || lot.good >= day)
      end
      there.min_by do |lot|
        [@input["open_first"] && lot.open ? 0 : 1, lot.good || FAR, lot.open ? 0 : 1, lot.id]
      end
    end

    def from_packs(lot, wanted, day)
      whole = [(wanted / lot.pack).floor, (lot.amount / lot.pack).floor].min
      return taken(lot, whole * lot.pack) if whole.positive?

      size = [lot.pack, lot.amount].min
      lot.amount -= size
      good = [lot.good, lot.days && (day + lot.days)].compact.min
      @lots << Lot.new(id: lot.id, amount: size, good: good, open: true)
      taken(@lots.last, [wanted, size].min)
    end

    def taken(lot, amount)
      lot.amount -= amount
      @used[lot.id] += amount
      amount
    end

    def words(amount) = BigDecimal(amount.round(6), 24).to_s("F").delete_suffix(".0")
  end
end
