# frozen_string_literal: true

module NutShelf
  module Core
    # How long a food or class keeps in one place and state: low and high in whole days, and whether
    # passing it is a matter of :safety or of :quality. Frozen. `own_reason` marks a household's own time.
    # `storage` names the way of storing the figure is for, nil for the usual one; `method` is its advice in words.
    KeepingRow = Struct.new(:scope, :place, :state, :low, :high, :kind, :after_thaw_days, :method, :care_every_days,
                            :care_text, :signs_to_discard, :caution, :own_reason, :storage, keyword_init: true) do
      def initialize(**facts)
        super
        freeze
      end

      def storage_words = KeepingRow::STORAGE.fetch(storage, storage)

      # @param school [Symbol] :by_the_date or :look_then_decide
      # @return [Integer] days to count: low for safety always, else by the household's school
      def days(school) = kind == :safety || school == :by_the_date ? low : high

      def span = low == high ? "#{low} days" : "#{low} to #{high} days"
    end

    # Ways of storing that a figure may depend on, and how they read.
    KeepingRow::STORAGE = { "bag" => "in a bag", "jar" => "in a closed jar or box", "water" => "standing in water", "paper" => "wrapped in paper or cloth",
                            "vacuum" => "vacuum-packed" }.freeze
  end
end
