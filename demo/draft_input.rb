# frozen_string_literal: true

module NutShelf
  module Demo
    # What a line that was read says to the act that puts it away.
    module DraftInput
      module_function

      def of(draft)
        printed = %w[best_before use_by].include?(draft[:date_kind])
        sized = !draft[:amount].nil?
        {
          food_id: draft[:food][:id],
          place_id: draft[:place][:id],
          count: draft[:count],
          amount: draft[:amount],
          unit: sized ? draft[:unit] : nil,
          noun: sized ? nil : draft[:unit],
          label: same_words?(draft) ? nil : draft[:label],
          printed_on: printed ? draft[:date] : nil,
          printed_kind: printed ? draft[:date_kind] : nil,
          made_on: printed ? nil : draft[:date],
          opened_on: draft[:opened_on],
          frozen_on: draft[:frozen_on],
          state: draft[:state],
          price_minor: draft[:price_minor]
        }.compact
      end

      # Whether what was typed is the food's own name and no name of a stack.
      def same_words?(draft)
        label = draft[:label].to_s
        label == label.downcase && draft[:food][:name].downcase.include?(label.split.last.to_s[0, 4])
      end
    end
  end
end
