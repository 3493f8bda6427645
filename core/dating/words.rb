# frozen_string_literal: true

require "date"

module NutShelf
  module Core
    # Dates and places as they read in a reason.
    module Words
      module_function

      # @return [String] "24 Nov 2026"
      def day(date) = date.strftime("%-d %b %Y")

      # @param number [Integer]
      # @return [String] such as "1 cook", "2 cooks"
      def count(number, one, many) = "#{number} #{number == 1 ? one : many}"

      # @return [String] "1 day", "3 days"
      def days(count) = count == 1 ? "1 day" : "#{count} days"

      # @return [String] "3 days", "about 6 months", "about 2 years"
      def time(count)
        return days(count) if count < 60

        count < 730 ? "about #{(count / 30.4).round} months" : "about #{(count / 365.0).round} years"
      end

      # @param count [Integer]
      # @return [String] "half an hour", "20 minutes"
      def minutes(count) = { 30 => "half an hour", 60 => "an hour" }.fetch(count) { "#{count} minutes" }

      # @return [String] "1 day is", "3 days are"
      def days_are(count) = count.zero? ? "none is" : "#{days(count)} #{count == 1 ? "is" : "are"}"

      # @return [String] "No day was", "Only 1 day was", "Only 3 days were"
      def only_days_were(count) = count.zero? ? "No day was" : "Only #{days(count)} #{count == 1 ? "was" : "were"}"

      # @param kind [String] place kind
      # @return [String] where something was carried: "to the fridge"
      def into(kind)
        {
          "cupboard" => "to a cupboard", "cool_dark" => "to a cool, dark place", "fridge" => "to the fridge",
          "freezer" => "to the freezer"
        }.fetch(kind)
      end

      # @param kind [String] place kind
      # @return [String] where something stands: "in the fridge"
      def where(kind)
        {
          "cupboard" => "in a cupboard", "cool_dark" => "cool and dark", "fridge" => "in the fridge",
          "freezer" => "in the freezer"
        }.fetch(kind)
      end

      # @param kind [String] place kind
      # @return [String] whose figure it is: "a cupboard's"
      def whose(kind)
        {
          "cupboard" => "a cupboard's", "cool_dark" => "a cool, dark place's", "fridge" => "the fridge's",
          "freezer" => "the freezer's"
        }.fetch(kind)
      end

      # @param basis [String] what the date of a stack rests on, as Dating says
      # @return [String] what has passed: "its best-before"
      def passed(basis)
        {
          "printed" => "its best-before", "frozen" => "its time in the freezer",
          "turning" => "the days it had once it was turning", "look" => "what the last look covers",
          "part" => "the date of what was poured in", "care" => "its care", "none" => "nobody knows what"
        }.fetch(basis, "the time it usually keeps")
      end

      # @param situation [String] of the keeping tables
      # @return [String] such as "opened" or "as bought"
      def situation(situation)
        {
          "bought_sealed" => "as bought", "bought_frozen" => "bought frozen", "left_over" => "left over",
          "frozen_at_home" => "frozen at home", "home_canned" => "bottled at home", "home_dried" => "dried at home"
        }.fetch(situation, situation)
      end
    end
  end
end
