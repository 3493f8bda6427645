# frozen_string_literal: true

module NutShelf
  module Core
    # How a Cursor draws what is used day by day: many days at once where one open stack serves them all, and pack after
    # pack of a sealed one. By the dates of everybody: whoever goes by the date sits at meals, and is no reason to leave
    # an apple to the others.
    module DailyUse
      private

      # @param key [String] of a food
      # @param daily [Rational] grams
      # @param day [Date] first day
      # @param stop [Date] day after the last
      def use(key, daily, day, stop)
        due = daily
        while day < stop
          limit = until_next(key, day, stop)
          stack = front(key, day)
          day, due =
            if stack.nil?
              nothing(key, daily, due, day, limit)
            elsif stack.sealed_packs?
              open_packs(stack, daily, due, day, limit)
            else
              use_open(stack, daily, due, day, limit)
            end
        end
      end

      # @return [Array(Date, Rational)] the day it came to, and what is still due that day; so do the others
      def nothing(key, daily, due, day, limit)
        lack(key, day, due)
        lack(key, day, daily, limit - 1) if limit > 1
        [day + limit, daily]
      end

      # What is drawn first that day. Days only go forward here, so what is used up or past at the front of the row is
      # not looked at again.
      def front(key, day)
        row = row(key)
        index = @fronts.fetch(key, 0)
        index += 1 while index < row.size && spent?(row[index], day)
        @fronts[key] = index
        index += 1 while index < row.size && !besides?(row[index], day)
        row[index]
      end

      def besides?(stack, day)
        available(stack).positive? && stack.eligible?(day, allow_look: @allow_look, strict: false)
      end

      def spent?(stack, day)
        return true unless available(stack).positive?

        last = last_for_all(stack)
        !last.nil? && last < day
      end

      # @return [Integer] days until something that is not ready yet may come before what stands in front
      def until_next(key, day, stop)
        coming = @coming[key] ||= row(key).filter_map(&:ready_on).sort.freeze
        return (stop - day).to_i if coming.empty?

        ([stop, coming.find { |ready| ready > day }].compact.min - day).to_i
      end

      def use_open(stack, daily, due, day, limit)
        there = available(stack)
        if there < due
          gone(stack, there)
          return day, due - there
        end

        last = last_for_all(stack)
        days = [((there - due) / daily).floor, limit - 1, last ? (last - day).to_i : limit].min
        gone(stack, due + (daily * days))
        [day + days + 1, daily]
      end

      # Pack after pack in numbers: what is opened of a sealed stack stands before the rest of it, so nothing else is
      # drawn until all of it is gone, or past.
      def open_packs(stack, daily, due, day, limit)
        last = last_for_all(stack)
        stop = day + (last ? [limit, (last - day).to_i + 1].min : limit)
        there = available(stack)
        rest = 0r
        opened_on = rest_last = nil
        while day < stop && (there.positive? || rest.positive?)
          rest = lose(stack, rest, rest_last) if rest.positive? && rest_last && rest_last < day
          if rest >= due
            until_on = rest_last && rest_last < stop ? rest_last : stop - 1
            days = [((rest - due) / daily).floor, (until_on - day).to_i].min
            rest -= due + (daily * days)
            day += days + 1
            due = daily
            next
          end

          amount = [there, due - rest].min
          due -= rest + amount
          part = amount % stack.pack
          opened = part.positive? ? [stack.pack, there - (amount - part)].min : 0r
          there -= amount - part + opened
          rest = opened - part
          next if due.positive?

          opened_on = day
          rest_last = last_once_opened(stack, day)
          day += 1
          due = daily
        end
        settle(stack, there, rest, opened_on)
        [day, due]
      end

      def settle(stack, there, rest, opened_on)
        gone(stack, available(stack) - there)
        (@opened[stack.food_key] ||= []) << [stack, rest, opened_on].freeze if rest.positive?
      end

      # An opened pack that nobody finished in time.
      def lose(stack, rest, last)
        (@lost[stack.food_key] ||= []) << Left.new(stack: stack, amount: rest, last_on: last)
        0r
      end

      def last_once_opened(stack, on)
        opened = stack.opened or return last_for_all(stack)
        [opened.earlier(stack.usable_until, on, opened.days), stack.safety_until].compact.min
      end
    end
  end
end
