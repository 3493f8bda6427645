# frozen_string_literal: true

module NutShelf
  module Desk
    # What the acts work with: the store, the reference tables, the clock and the words of the label line. Frozen.
    Office = Struct.new(:database, :catalog, :clock, :names, :foreign_words, keyword_init: true) do
      def initialize(**facts)
        super
        freeze
      end
    end

    # Who is asking: account, household and role ("keeper" or "helper"). Frozen.
    Caller = Struct.new(:account_id, :household_id, :role, keyword_init: true) do
      def initialize(**facts)
        super
        freeze
      end

      def keeper? = role == "keeper"
    end
  end
end
