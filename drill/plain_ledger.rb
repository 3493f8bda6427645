# frozen_string_literal: true

# A ledger kept from what people say they do, apart from the house's: foods in grams and pieces, money in cents. What
# the house makes of the same acts is held against it.
class PlainLedger
  # One thing done: amounts by food and way, in base units (in above zero, out below), and money paid.
  Entry = Struct.new(:moves, :paid)

  attr_reader :entries

  def initialize
    @entries = {}
  end

  # @param act_id [Integer]
  # @param food_id [Integer]
  # @param amount [Rational] base units
  # @param paid [Integer] minor units
  def came(act_id, food_id, amount, paid) = add(act_id, [[food_id, "bought", amount]], paid)

  # @param way [String] of an outcome
  def left(act_id, food_id, amount, way) = add(act_id, [[food_id, way, -amount]], 0)

  # @param moves [Array<Array(Integer, String, Rational)>]
  def add(act_id, moves, paid = 0) = @entries[act_id] = Entry.new(moves, paid)

  # What is taken back never was.
  def undone(act_id) = @entries.delete(act_id)

  # @return [Integer] minor units that were ever paid
  def paid = @entries.each_value.sum(&:paid)

  # @return [Hash{Integer=>Rational}] food to what is there
  def stock = sums { |food_id, _, amount| [food_id, amount] }

  # @return [Hash{String=>Rational}] way to what left by it
  def out = sums { |_, way, amount| [way, -amount] if amount.negative? }

  private

  def sums
    all = Hash.new(0r)
    @entries.each_value do |entry|
      entry.moves.each do |move|
        key, amount = yield(*move)
        all[key] += amount if key
      end
    end
    all.reject { |_, amount| amount.zero? }
  end
end
