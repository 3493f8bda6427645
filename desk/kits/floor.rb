# frozen_string_literal: true

require_relative "../../core/kits/deep_pantry"
require_relative "../../core/value"
require_relative "../refusal"
require_relative "kit_book"

module NutShelf
  module Desk
    module Kits
      # The floor under a deep pantry: what the kitchen takes must leave what the days need, unless somebody says why.
      class Floor
        # What would fall short: the kit, and its line. Frozen.
        Breach = Core::Value.of(:kit, :line)

        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @param taken [Hash{Integer=>Rational}] what leaves by stack, in its own units
        # @param despite [String, nil] why all the same
        # @param besides [Integer, nil] the kit that is being eaten from: what it holds is there for that
        # @return [String] what the history says of it, empty where nothing falls short
        # @raise [Conflict] naming kit and line
        def guard(taken, despite, besides: nil)
          found = breach(taken, besides) or return ""
          why = despite.to_s.strip
          raise Refusal.of(:below_the_floor, kit: found.kit.name, line: words(found)) if why.empty?

          ", below the floor of #{found.kit.name}: #{why}"
        end

        private

        def words(found) = Core::Kits::Lines.words(found.line).downcase

        def breach(taken, besides)
          deep = @work.house.kits.all.select { |kit| kit.school == "deep_pantry" && kit.id != besides }
          deep.lazy.filter_map { |kit| breach_of(kit, taken) }.first
        end

        # All that leaves at once is weighed together, line by line: a pack that is begun counts no more.
        def breach_of(kit, taken)
          book = KitBook.new(@work, kit)
          pages = book.counted.select { |page| taken.key?(page.stock.stack.id) }
          line = pages.empty? ? nil : book.lines.find { |one| short?(book, pages, one, taken) }
          line && Breach.new(kit: kit, line: line.line)
        end

        def short?(book, pages, line, taken)
          leaves = pages.sum(0r) do |page|
            packs = (taken.fetch(page.stock.stack.id) / Stocks.unit(page.stock.stack)).ceil
            book.amount(line.line, page) / page.stock.supply.packs * packs
          end
          leaves.positive? && line.have - leaves < line.need
        end
      end
    end
  end
end
