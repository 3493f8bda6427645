# frozen_string_literal: true

require_relative "tables"

module NutShelf
  module Core
    module Planner
      # The part of State for what is cooked again: the same dish, the same kind on the day before or after, and how
      # often a kind is cooked in a week.
      module Repetition
        # @param dish [Integer]
        # @param day [Integer]
        # @return [Integer] money: the same dish within the window, the same kind on the day before or after
        def again(dish, day)
          cost = @tables.tallies.more(@counts, dish, day)
          days = @cooked_on[dish]
          cost += windows(days, day) * @tables.rep_cost unless days.empty?
          tags = @tables.tags_of[dish]
          index = 0
          while index < tags.size
            cost += tag(tags[index], day)
            index += 1
          end
          cost
        end

        private

        # How many windows that hold this day hold the dish already.
        def windows(days, day)
          width = @tables.window
          earlier = day - width
          later = day + width
          index = 0
          while index < days.size
            other = days[index]
            return width if other == day

            if other < day
              earlier = other if other > earlier
            elsif other < later
              later = other
            end
            index += 1
          end
          bare = [later - width, day].min - [earlier, day - width].max
          bare > 0 ? width - bare : width
        end

        def tag(tag, day)
          base = tag * @days
          return 0 if @tags[base + day] > 0

          near = 0
          near += 1 if day > 0 && @tags[base + day - 1] > 0
          near += 1 if day + 1 < @days && @tags[base + day + 1] > 0
          near * @tables.tag_cost[tag]
        end

        def mark(dish, day, sign)
          @tables.tallies.count(@counts, dish, day, sign)
          @tables.tags_of[dish].each { |tag| @tags[(tag * @days) + day] += sign }
        end

        def repeated_before
          width = @tables.window
          times = @cooked_on.sum do |days|
            ((1 - width)..-1).sum { |start| [days.count { |day| day >= start && day < start + width } - 1, 0].max }
          end
          times * @tables.rep_cost
        end
      end
    end
  end
end
