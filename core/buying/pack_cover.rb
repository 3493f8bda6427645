# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # A pack that can be bought: its size in base units and its price in minor units; `count`: of so many sealed ones,
    # that are bought together. Frozen.
    BuyablePack = Value.of(:size, :price_minor, count: 1)

    # Which packs to buy for a need: so many of each, what that comes to, and whether it stays within what will be eaten
    # while good and has room. Frozen.
    Cover = Value.of(:counts, :amount, :price_minor, :within_cap)

    # Finds the packs that cover a need (docs/buying.md): the cheapest within the cap, then the fewer packs, then the
    # smaller amount; where nothing stays within the cap the need still wins, by the smallest amount. Exact, by the
    # shorter of two ways: a search of all sets of which every pack is needed (one pack less is never dearer), or a
    # table of the best set for each amount below the need.
    class PackCover
      # @param packs [Array<BuyablePack>] sizes above zero
      def initialize(packs)
        @packs = packs
        @order = packs.each_index.sort_by { |at| [-packs[at].size, packs[at].price_minor, at] }
        @cheapest = packs.map { |pack| pack.price_minor / pack.size }.min
      end

      # @param need [Rational] base units
      # @param eaten_while_good [Rational, nil] what will be eaten before it turns, nil where nobody knows
      # @param room [Rational, nil] what the place holds, nil where nobody knows
      # @param way [Symbol] :shorter, or :search or :table where somebody asks for one
      # @return [Cover, nil] nil where there is no pack
      def call(need, eaten_while_good: nil, room: nil, way: :shorter)
        return if @packs.empty?

        limit = [eaten_while_good, room].compact.min
        @cap = limit && [need, limit].max
        @best = nil
        if way == :table || (way == :shorter && sets(need) > MANY && sets(need) > steps(need))
          tabled(need)
        else
          search(0, Array.new(@packs.size, 0), need, 0, 0)
        end
        @best.last
      end

      private

      # Sets a search is never too long for.
      MANY = 500
      private_constant :MANY

      # @return [Numeric] sets a search looks at, at most
      def sets(need) = @order[0...-1].inject(1) { |sum, at| sum * ((need / @packs[at].size).ceil + 1) }

      # @return [Numeric] steps a table takes
      def steps(need) = (need / grain).ceil * @packs.size

      # The largest amount of which every pack is a whole number.
      def grain
        @grain ||= @packs.map { |pack| pack.size.to_r }.inject do |one, other|
          whole = one.denominator.lcm(other.denominator)
          Rational((one * whole).to_i.gcd((other * whole).to_i), whole)
        end
      end

      def search(place, counts, rest, price, number)
        return settle(counts, price, number) unless rest.positive?
        return if place == @order.size || hopeless?(price + (rest * @cheapest))

        at = @order[place]
        pack = @packs[at]
        most = (rest / pack.size).ceil
        # The last kind must do it alone.
        least = place == @order.size - 1 ? most : 0
        most.downto(least) do |count|
          counts[at] = count
          search(place + 1, counts, rest - (count * pack.size), price + (count * pack.price_minor), number + count)
        end
        counts[at] = 0
      end

      # Within the cap nothing dearer can win any more.
      def hopeless?(least) = @best && @best.first.first.zero? && least > @best.first[1]

      # In grains: for every amount below the need the cheapest set that comes to it, then the one of fewer packs, and
      # by which pack from what amount; each further pack that reaches the need ends a set.
      def tabled(need)
        return settle(Array.new(@packs.size, 0), 0, 0) unless need.positive?

        last = (need / grain).ceil
        prices = Array.new(last)
        numbers = Array.new(last)
        steps = Array.new(last)
        prices[0] = numbers[0] = 0
        kinds = @order.each_with_index.map do |at, place|
          [(@packs[at].size / grain).to_i, @packs[at].price_minor, place]
        end
        0.upto(last - 1) do |amount|
          price = prices[amount] or next
          number = numbers[amount] + 1
          kinds.each do |size, cost, place|
            reached = amount + size
            whole = price + cost
            next finished(steps, amount, place, whole, number) if reached >= last

            there = prices[reached]
            next if there && (there < whole || (there == whole && numbers[reached] <= number))

            prices[reached] = whole
            numbers[reached] = number
            steps[reached] = place
          end
        end
      end

      def finished(steps, amount, place, price, number)
        return if hopeless?(price)

        counts = Array.new(@packs.size, 0)
        counts[@order[place]] += 1
        until amount.zero?
          at = @order[steps[amount]]
          counts[at] += 1
          amount -= (@packs[at].size / grain).to_i
        end
        settle(counts, price, number)
      end

      def settle(counts, price, number)
        amount = counts.each_index.sum { |at| counts[at] * @packs[at].size }
        within = @cap.nil? || amount <= @cap
        rank = within ? [0, price, number, amount] : [1, amount, price, number]
        return if @best && (@best.first <=> rank) <= 0

        @best = [rank, Cover.new(counts: counts.dup.freeze, amount: amount, price_minor: price, within_cap: within)]
      end
    end
  end
end
