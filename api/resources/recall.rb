# frozen_string_literal: true

require_relative "../base"
require_relative "../../desk/acts/quarantine"
require_relative "../views/stack_view"
require_relative "../../core/scan/check_digit"

module NutShelf
  module Api
    # Which stacks a recall means, and setting them apart.
    class Recall < Base
      get("/") do
        wanted = {
          food_id: params[:food_id] && id_param(:food_id),
          pack_id: params[:pack_id] && id_param(:pack_id),
          lot_text: words(:lot)
        }.compact
        code = words(:code)
        view(:stock, :rules) do |work|
          wanted[:pack_id] ||= pack_of(work, code) if code
          rows = wanted.empty? ? [] : work.house.lots.recalled(**wanted).all
          stacks = StackView.new(work).all(rows.map(&:id))
          {
            stacks:
              rows.map do |row|
                { stack: stacks.fetch(row.id), lot_text: row.lot_text, place: work.place(row.place_id).name }
              end
          }
        end
      end

      post("/") { act(Desk::Quarantine, body_as("Quarantine")) }

      helpers do
        # A pack by its bar code; a code nobody learnt means no pack here.
        def pack_of(work, code)
          pack = code.match?(/\A\d{8,14}\z/) && work.house.packs.by_barcode(Core::CheckDigit.gtin14(code))
          pack ? pack.id : 0
        end

        def words(name)
          text = params[name].to_s.strip
          if text.length > 60 || text.include?("\u0000") || !text.valid_encoding?
            refuse("invalid", "The lot cannot be used.", "Use up to 60 letters.")
          end
          text.empty? ? nil : text
        end
      end
    end
  end
end
